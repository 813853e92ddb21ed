import { AddEvents } from '$lib/schema/run';
import { notFound, readBody } from '$lib/server/http';
import { addEvents, runEvents } from '$lib/server/services';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, url }) => {
	const after = Number(url.searchParams.get('after') ?? 0);
	const events = await runEvents(params.id, Number.isSafeInteger(after) && after >= 0 ? after : 0);
	return events ? json(events) : notFound('run');
};

/** Takes events in, each once, however often it is sent. */
export const POST: RequestHandler = async ({ request, params }) => {
	const body = await readBody(request, AddEvents);
	if (!body.ok) return body.response;
	const arrival = await addEvents(params.id, body.value.events);
	return arrival === undefined ? notFound('run') : json({ arrival });
};
