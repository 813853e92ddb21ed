import { EndRun } from '$lib/bench/run';
import { writing } from '$lib/server/http';
import { done } from '$lib/server/outcome';
import { endJob } from '$lib/server/services';
import type { RequestEvent } from './$types';

/** Ends a job that winds nothing new, and writes down what it came to. The run's own id tells this write. */
export const POST = writing(EndRun, async (_asked, { day, leave }, { params }: RequestEvent) => {
	const ended = await endJob(params.id, day, leave);
	return ended.ok ? done({ written: ended.value }) : ended;
});
