import { acting } from '$lib/server/http';
import { dropSetup } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const POST = acting('Take up a plan again that was dropped', (asked, { params }: RequestEvent) =>
	dropSetup(asked, params.id, false)
);
