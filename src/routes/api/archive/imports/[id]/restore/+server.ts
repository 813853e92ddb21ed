import { acting } from '$lib/server/http';
import { undoImport } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const POST = acting('Bring an archive in again that was undone', (asked, { params }: RequestEvent) =>
	undoImport(asked, params.id, false)
);
