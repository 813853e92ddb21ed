import { StartRun } from '$lib/bench/run';
import { writing } from '$lib/server/http';
import { startRun } from '$lib/server/services';
import type { RequestEvent } from './$types';

/** The starter chooses the id, so that a run can begin while the server is away. */
export const PUT = writing(
	{ summary: 'Start a run of a set-up under an id of your own', body: StartRun, status: 204, hasOwnId: true },
	(_asked, { setupId, job }, { params }: RequestEvent) => startRun(params.id, setupId, job)
);
