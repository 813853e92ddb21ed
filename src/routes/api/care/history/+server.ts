import { CareHistory } from '$lib/inventory/care';
import { reading } from '$lib/server/http';
import { careHistory } from '$lib/server/services';
import { z } from 'zod';

export const GET = reading(
	'The whole history of one line or backing, newest first, with what was undone',
	{ answer: CareHistory, query: z.object({ of: z.string() }), what: 'line or backing' },
	({ url }) => careHistory(url.searchParams.get('of') ?? '')
);
