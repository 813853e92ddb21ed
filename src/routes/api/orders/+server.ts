import { pageShape } from '$lib/setup/answers';
import { BoardOrder } from '$lib/orders/board';
import { CreateOrder, SavedOrder } from '$lib/orders/order';
import { pageOf } from '$lib/server/api/page';
import { listing, writing } from '$lib/server/http';
import { board, createOrder } from '$lib/server/services';

export const GET = listing(
	'Orders in the order of the work: those with winding left to do first, by the day they are due',
	pageShape(BoardOrder),
	async (asked) =>
		pageOf((await board()).orders, asked, ({ reels }, spool) =>
			reels.some(({ spoolId }) => spoolId === spool)
		)
);

export const POST = writing(
	{
		summary: 'Take an order in; each wish is read into a set-up',
		body: CreateOrder,
		answer: SavedOrder,
		status: 201
	},
	(asked, order, { locals }) => createOrder(asked, order, locals.units, locals.today)
);
