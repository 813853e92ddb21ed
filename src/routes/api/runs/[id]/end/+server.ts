import { EndRun } from '$lib/schema/run';
import { notFound, readBody } from '$lib/server/http';
import { endJob } from '$lib/server/services';
import type { RequestHandler } from './$types';

/** Ends a job that winds nothing new, and writes down what it came to. */
export const POST: RequestHandler = async ({ request, params }) => {
	const body = await readBody(request, EndRun);
	if (!body.ok) return body.response;
	const ended = await endJob(params.id, body.value.day, body.value.leave);
	return ended ? new Response(null, { status: 204 }) : notFound('run');
};
