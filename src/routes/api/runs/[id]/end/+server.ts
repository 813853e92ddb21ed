import { Ended, EndRun } from '$lib/bench/run';
import { writing } from '$lib/server/http';
import { done } from '$lib/server/outcome';
import { endJob } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const POST = writing(
	{
		summary: 'End a job that winds nothing new, and save what it came to',
		body: EndRun,
		answer: Ended,
		hasOwnId: true
	},
	async (_asked, { day, leave }, { params }: RequestEvent) => {
		const ended = await endJob(params.id, day, leave);
		return ended.ok ? done({ written: ended.value }) : ended;
	}
);
