import { signOut } from '$lib/server/access';
import { acting, endStreams } from '$lib/server/http';
import { done } from '$lib/server/outcome';
import type { RequestEvent } from './$types';

export const DELETE = acting('Sign a device out', async (_, { params }: RequestEvent) => {
	await signOut(params.id);
	endStreams();
	return done(null);
});
