import { Id } from '$lib/setup/answers';
import { AddStockEvent } from '$lib/stock/stock';
import { writing } from '$lib/server/http';
import { addStockEvent } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const POST = writing(
	{
		summary: 'Write down a cut, a weight, a depth or a length that is left, or boxes that came or went',
		body: AddStockEvent,
		answer: Id,
		status: 201
	},
	(asked, event, { params, locals }: RequestEvent) => addStockEvent(asked, params.id, event, locals.units)
);
