import { described, fileOperation } from '$lib/server/api/operation';

export const GET = described(
	fileOperation('Whether the server answers at all', 'text/plain'),
	() => new Response('ok\n', { headers: { 'content-type': 'text/plain' } })
);
