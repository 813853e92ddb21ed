import { AddCareEvents, asCareEvent } from '$lib/inventory/care';
import { respond, writing } from '$lib/server/http';
import { addCareEvents, care } from '$lib/server/services';
import type { RequestHandler } from '@sveltejs/kit';

export const GET: RequestHandler = async ({ locals }) => respond(await care(locals.today));

/** Writes down what was done; every event has an id of its own. */
export const POST = writing(
	AddCareEvents,
	(_asked, { events }) =>
		addCareEvents(events.map(({ keptId, event }) => ({ keptId, event: asCareEvent(event) }))),
	204
);
