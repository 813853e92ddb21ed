import { GapPromises } from '$lib/inventory/promise';
import { reading } from '$lib/server/http';
import { promisesKept } from '$lib/server/services';

export const GET = reading(
	'What was foreseen of each gap, and what was found',
	{ answer: GapPromises },
	async () => promisesKept()
);
