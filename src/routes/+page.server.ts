import { care, rack } from '$lib/server/services';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, locals }) => {
	depends('wendle:rack');
	const { entries } = await care(locals.today);
	/** How much is overdue on each spool. */
	const due: Record<string, number> = {};
	for (const { spoolId, dues } of entries)
		if (spoolId !== null) due[spoolId] = (due[spoolId] ?? 0) + dues.filter(({ overdue }) => overdue).length;
	return { rack: await rack(), due };
};
