import { acting } from '$lib/server/http';
import { removeOrder } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const POST = acting('Bring an order back', (asked, { params }: RequestEvent) =>
	removeOrder(asked, params.id, false)
);
