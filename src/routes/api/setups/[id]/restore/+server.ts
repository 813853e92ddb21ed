import { acting } from '$lib/server/http';
import { dropSetup } from '$lib/server/services';
import type { RequestEvent } from './$types';

/** Takes up a plan again that was dropped. */
export const POST = acting((asked, { params }: RequestEvent) => dropSetup(asked, params.id, false));
