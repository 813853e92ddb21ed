import { acting } from '$lib/server/http';
import { takeBackWinding } from '$lib/server/services';
import type { RequestEvent } from './$types';

/** Undoes a winding: the previous line is back on the spool. Nothing of it is lost. */
export const DELETE = acting((asked, { params }: RequestEvent) => takeBackWinding(asked, params.id, true));
