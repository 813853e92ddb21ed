import { AddEvents } from '$lib/bench/run';
import { notFound, writing } from '$lib/server/http';
import { addEvents, runEvents } from '$lib/server/services';
import { json } from '@sveltejs/kit';
import type { RequestEvent, RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, url }) => {
	const after = Number(url.searchParams.get('after') ?? 0);
	const events = await runEvents(params.id, Number.isSafeInteger(after) && after >= 0 ? after : 0);
	return events ? json(events) : notFound('run');
};

/** Takes events in, each once under its own id, however often it is sent. */
export const POST = writing(AddEvents, (_asked, { events }, { params }: RequestEvent) =>
	addEvents(params.id, events)
);
