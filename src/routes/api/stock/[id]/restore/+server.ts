import { acting } from '$lib/server/http';
import { removeStock } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const POST = acting('Put it back into the stock', (asked, { params }: RequestEvent) =>
	removeStock(asked, params.id, false)
);
