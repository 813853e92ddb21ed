import { ConfirmStockEvent } from '$lib/stock/stock';
import { acting, writing } from '$lib/server/http';
import { confirmStockEvent, takeBackStockEvent } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const PUT = writing(
	{
		summary: 'Say that a reading which surprised is right: something was cut that nobody wrote down',
		body: ConfirmStockEvent,
		status: 204
	},
	(asked, { changed }, { params }: RequestEvent) => confirmStockEvent(asked, params.id, params.event, changed)
);

export const DELETE = acting(
	'Undo an entry: a cut is on the spool again, a reading is left out',
	(asked, { params }: RequestEvent) => takeBackStockEvent(asked, params.id, params.event, true)
);
