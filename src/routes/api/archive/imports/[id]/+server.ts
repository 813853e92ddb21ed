import { acting } from '$lib/server/http';
import { undoImport } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const DELETE = acting('Undo bringing an archive in', (asked, { params }: RequestEvent) =>
	undoImport(asked, params.id, true)
);
