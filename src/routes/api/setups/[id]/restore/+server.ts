import { acting } from '$lib/server/http';
import { dropSetup } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const POST = acting('Bring back a plan that was dropped', (asked, { params }: RequestEvent) =>
	dropSetup(asked, params.id, false)
);
