import { rack } from '$lib/server/services';
import { rackEntry } from '$lib/ui/features/rack/entry';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
	rack: (await rack()).map((spool) => rackEntry(spool, locals.units))
});
