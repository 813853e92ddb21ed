import { signOut } from '$lib/server/access';
import { acting, endStreams } from '$lib/server/http';
import { done } from '$lib/server/outcome';

export const DELETE = acting('Sign every device out', async () => {
	await signOut();
	endStreams();
	return done(null);
});
