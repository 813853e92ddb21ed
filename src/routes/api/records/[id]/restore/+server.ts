import { acting } from '$lib/server/http';
import { takeBackWinding } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const POST = acting('Bring back a winding that was undone', (asked, { params }: RequestEvent) =>
	takeBackWinding(asked, params.id, false)
);
