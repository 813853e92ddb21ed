import { StartRun } from '$lib/schema/run';
import { notFound, readBody } from '$lib/server/http';
import { startRun } from '$lib/server/services';
import type { RequestHandler } from './$types';

/** The starter chooses the id, so that a run can begin while the server is away. */
export const PUT: RequestHandler = async ({ request, params }) => {
	const body = await readBody(request, StartRun);
	if (!body.ok) return body.response;
	return (await startRun(params.id, body.value.setupId, body.value.job))
		? new Response(null, { status: 204 })
		: notFound('set-up');
};
