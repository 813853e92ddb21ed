import { care, rack, unreadable } from '$lib/server/services';
import { rackEntry } from '$lib/ui/features/rack/entry';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, locals }) => {
	depends('wendle:rack');
	const { entries } = await care(locals.today);
	/** How much is overdue on each spool, and on coils. */
	const due: Record<string, number> = {};
	let coiled = 0;
	/** The water that what is on each spool was fished in: any salt counts as salt. */
	const waters: Record<string, 'fresh' | 'salt'> = {};
	for (const { spoolId, dues, state } of entries) {
		const overdue = dues.filter((one) => one.overdue).length;
		if (spoolId === null) coiled += overdue;
		else {
			due[spoolId] = (due[spoolId] ?? 0) + overdue;
			if (state.saltDays > 0) waters[spoolId] = 'salt';
			else if (state.daysOut > 0) waters[spoolId] ??= 'fresh';
		}
	}
	const shelf = (await rack()).map((spool) => rackEntry(spool, locals.units));
	return { rack: shelf, due, waters, coiled, unreadable: await unreadable() };
};
