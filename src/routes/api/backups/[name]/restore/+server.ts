import { acting } from '$lib/server/http';
import { restore } from '$lib/server/services';
import type { RequestEvent } from './$types';

export const POST = acting(
	'Put a backup in the place of what is there, which is backed up first',
	async (_asked, { params }: RequestEvent) => restore(params.name)
);
