import { TickStep } from '$lib/schema/setup';
import { notFound, readBody } from '$lib/server/http';
import { tickStep } from '$lib/server/services';
import type { RequestHandler } from './$types';

export const PUT: RequestHandler = async ({ request, params }) => {
	const body = await readBody(request, TickStep);
	if (!body.ok) return body.response;
	const done = await tickStep(params.id, body.value.step, body.value.done);
	return done ? new Response(null, { status: 204 }) : notFound('set-up');
};
