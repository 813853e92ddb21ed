import { care, rack } from '$lib/server/services';
import { today } from '$lib/server/today';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
	depends('wendle:rack');
	const { entries } = await care(today());
	/** How much is overdue on each spool. */
	const due: Record<string, number> = {};
	for (const { spoolId, dues } of entries)
		if (spoolId !== null) due[spoolId] = (due[spoolId] ?? 0) + dues.filter(({ overdue }) => overdue).length;
	return { rack: await rack(), due };
};
