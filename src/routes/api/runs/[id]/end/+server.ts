import { EndRun } from '$lib/schema/run';
import { notFound, readBody } from '$lib/server/http';
import { endJob } from '$lib/server/services';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Ends a job that winds nothing new, and writes down what it came to. */
export const POST: RequestHandler = async ({ request, params }) => {
	const body = await readBody(request, EndRun);
	if (!body.ok) return body.response;
	const written = await endJob(params.id, body.value.day, body.value.leave);
	return written ? json({ written }) : notFound('run');
};
