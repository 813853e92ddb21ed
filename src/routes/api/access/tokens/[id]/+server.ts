import { revokeToken } from '$lib/server/access';
import { acting, endStreams } from '$lib/server/http';
import { done } from '$lib/server/outcome';
import type { RequestEvent } from './$types';

export const DELETE = acting('Revoke a token', async (_, { params }: RequestEvent) => {
	await revokeToken(params.id);
	endStreams();
	return done(null);
});
