import { acting } from '$lib/server/http';
import { takeBackWinding } from '$lib/server/services';
import type { RequestEvent } from './$types';

/** Counts a winding again that was undone. */
export const POST = acting((asked, { params }: RequestEvent) => takeBackWinding(asked, params.id, false));
