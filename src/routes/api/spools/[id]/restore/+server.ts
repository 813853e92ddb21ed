import { acting } from '$lib/server/http';
import { restoreSpool } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const POST = acting((asked, { params }: RequestEvent) => restoreSpool(asked, params.id));
