import { acting } from '$lib/server/http';
import { takeBackWinding } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const DELETE = acting(
	'Undo a winding: the previous line is back on the spool',
	(asked, { params }: RequestEvent) => takeBackWinding(asked, params.id, true)
);
