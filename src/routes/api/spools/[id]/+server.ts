import { acting } from '$lib/server/http';
import { removeSpool } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const DELETE = acting(
	'Take a spool off the rack; it can be put back',
	(asked, { params }: RequestEvent) => removeSpool(asked, params.id)
);
