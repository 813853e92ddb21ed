import { CareHistory } from '$lib/inventory/care';
import { reading } from '$lib/server/http';
import { careHistory } from '$lib/server/services';
import { z } from 'zod';

export const GET = reading(
	'Everything that was written of one thing, newest first, and which of it was undone',
	{ answer: CareHistory, query: z.object({ of: z.string() }), what: 'line or backing' },
	({ url }) => careHistory(url.searchParams.get('of') ?? '')
);
