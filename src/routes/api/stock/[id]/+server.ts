import { Made } from '$lib/setup/answers';
import { SaveStock, StockEntry } from '$lib/stock/stock';
import { acting, reading, writing } from '$lib/server/http';
import { removeStock, saveStock, stockById } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const GET = reading(
	'A bulk spool, a short end or boxed lines, with what happened to it',
	{ answer: StockEntry, what: 'entry in the stock' },
	({ params }: RequestEvent) => stockById(params.id)
);

export const PUT = writing(
	{ summary: 'Change what is said of it, over the version that was seen', body: SaveStock, answer: Made },
	(asked, body, { params, locals }: RequestEvent) => saveStock(asked, params.id, body, locals.units)
);

export const DELETE = acting(
	'Take it out of the stock; it can be put back',
	(asked, { params }: RequestEvent) => removeStock(asked, params.id, true)
);
