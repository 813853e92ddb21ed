import { care, spoolWithWindings } from '$lib/server/services';
import { rackEntry } from '$lib/ui/features/rack/entry';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends, locals }) => {
	depends('wendle:rack');
	const found = await spoolWithWindings(params.id);
	if (!found) error(404, "That spool isn't on the rack any more. Go back to the rack.");
	const { entries } = await care(locals.today);
	const due = entries
		.filter(({ spoolId }) => spoolId === params.id)
		.reduce((sum, { dues }) => sum + dues.filter(({ overdue }) => overdue).length, 0);
	return { ...found, entry: rackEntry(found.spool, locals.units), due };
};
