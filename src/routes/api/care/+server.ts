import { AddCareEvents, asCareEvent } from '$lib/inventory/care';
import { reading, writing } from '$lib/server/http';
import { addCareEvents, care } from '$lib/server/services';

export const GET = reading(
	'Every line and backing: where it is, what happened to it, what falls due',
	{},
	({ locals }) => care(locals.today)
);

export const POST = writing(
	{
		summary: 'Save what was done; an event of kind `undone` undoes another',
		body: AddCareEvents,
		status: 204,
		hasOwnId: true
	},
	(_asked, { events }) =>
		addCareEvents(events.map(({ keptId, event }) => ({ keptId, event: asCareEvent(event) })))
);
