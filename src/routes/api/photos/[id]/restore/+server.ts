import { acting } from '$lib/server/http';
import { restorePhoto } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const POST = acting('Bring a deleted photo back', (asked, { params }: RequestEvent) =>
	restorePhoto(asked, params.id)
);
