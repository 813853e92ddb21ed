import { acting } from '$lib/server/http';
import { restoreSpool } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const POST = acting('Put a spool back on the rack', (asked, { params }: RequestEvent) =>
	restoreSpool(asked, params.id)
);
