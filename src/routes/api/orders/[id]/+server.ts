import { BoardOrder } from '$lib/orders/board';
import { SavedOrder, SaveOrder } from '$lib/orders/order';
import { acting, reading, writing } from '$lib/server/http';
import { orderById, removeOrder, saveOrder } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const GET = reading(
	'An order, with what became of each of its reels',
	{ answer: BoardOrder, what: 'order' },
	({ params }: RequestEvent) => orderById(params.id)
);

export const PUT = writing(
	{
		summary:
			'Change an order over the version that was seen; a reel that is no longer named is dropped, unless it was wound',
		body: SaveOrder,
		answer: SavedOrder
	},
	(asked, order, { params, locals }: RequestEvent) =>
		saveOrder(asked, params.id, order, locals.units, locals.today)
);

export const DELETE = acting(
	'Take an order away, with the spools that came with it and were not wound; it can be brought back',
	(asked, { params }: RequestEvent) => removeOrder(asked, params.id, true)
);
