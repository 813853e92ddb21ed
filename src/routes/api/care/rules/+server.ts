import { asRules, CareRules } from '$lib/schema/care';
import { readBody } from '$lib/server/http';
import { setCareRules } from '$lib/server/services';
import type { RequestHandler } from './$types';

/** Other rules of what falls due. */
export const PUT: RequestHandler = async ({ request }) => {
	const body = await readBody(request, CareRules);
	if (!body.ok) return body.response;
	await setCareRules(asRules(body.value));
	return new Response(null, { status: 204 });
};

/** The usual rules again. */
export const DELETE: RequestHandler = async () => {
	await setCareRules(undefined);
	return new Response(null, { status: 204 });
};
