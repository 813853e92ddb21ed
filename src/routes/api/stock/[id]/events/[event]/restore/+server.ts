import { acting } from '$lib/server/http';
import { takeBackStockEvent } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const POST = acting('Count an entry again that was undone', (asked, { params }: RequestEvent) =>
	takeBackStockEvent(asked, params.id, params.event, false)
);
