import { AddCareEvents, asCareEvent } from '$lib/schema/care';
import { notFound, readBody } from '$lib/server/http';
import { addCareEvents, care } from '$lib/server/services';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals }) => json(await care(locals.today));

/** Writes down what was done. */
export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, AddCareEvents);
	if (!body.ok) return body.response;
	const events = body.value.events.map(({ keptId, event }) => ({ keptId, event: asCareEvent(event) }));
	return (await addCareEvents(events)) ? new Response(null, { status: 204 }) : notFound('line or backing');
};
