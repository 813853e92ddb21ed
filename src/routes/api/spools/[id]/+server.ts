import { acting } from '$lib/server/http';
import { removeSpool } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const DELETE = acting((asked, { params }: RequestEvent) => removeSpool(asked, params.id));
