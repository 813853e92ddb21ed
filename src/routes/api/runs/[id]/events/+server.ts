import { AddedEvents, AddEvents, RunEvents } from '$lib/bench/run';
import { reading, writing } from '$lib/server/http';
import { addEvents, runEvents } from '$lib/server/services';
import { z } from 'zod';
import type { RequestEvent } from './$types';

export const GET = reading(
	'Events of a run that arrived after a number, in the order they arrived',
	{ answer: RunEvents, query: z.object({ after: z.number().int().optional() }), what: 'run' },
	({ params, url }: RequestEvent) => {
		const after = Number(url.searchParams.get('after') ?? 0);
		return runEvents(params.id, Number.isSafeInteger(after) && after >= 0 ? after : 0);
	}
);

export const POST = writing(
	{ summary: 'Add events to a run', body: AddEvents, answer: AddedEvents, hasOwnId: true },
	(_asked, { events }, { params }: RequestEvent) => addEvents(params.id, events)
);
