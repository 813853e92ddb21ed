import { SaveWays } from '$lib/schema/setup';
import { notFound, readBody } from '$lib/server/http';
import { saveWays } from '$lib/server/services';
import type { RequestHandler } from './$types';

/** Changes how a set-up is wound and tied. */
export const PUT: RequestHandler = async ({ request, params, locals }) => {
	const body = await readBody(request, SaveWays);
	if (!body.ok) return body.response;
	const saved = await saveWays(params.id, body.value, locals.units);
	return saved ? new Response(null, { status: 204 }) : notFound('set-up');
};
