import { MoveOrder } from '$lib/orders/order';
import { writing } from '$lib/server/http';
import { moveOrder } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const PUT = writing(
	{ summary: 'Move an order on the board', body: MoveOrder, status: 204 },
	(asked, { state }, { params }: RequestEvent) => moveOrder(asked, params.id, state)
);
