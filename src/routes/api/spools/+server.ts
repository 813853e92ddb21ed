import { pageOf } from '$lib/server/api/page';
import { listing } from '$lib/server/http';
import { spools } from '$lib/server/services';
import { pageShape, SavedSpool } from '$lib/setup/answers';

export const GET = listing(
	'The spools on the rack, each as it was described, the oldest first',
	pageShape(SavedSpool),
	async (asked) => pageOf(await spools(), asked, ({ id }, spool) => id === spool)
);
