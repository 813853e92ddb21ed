import { care, rack, unreadable } from '$lib/server/services';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, locals }) => {
	depends('wendle:rack');
	const { entries } = await care(locals.today);
	/** How much is overdue on each spool, and on coils. */
	const due: Record<string, number> = {};
	let coiled = 0;
	for (const { spoolId, dues } of entries) {
		const overdue = dues.filter((one) => one.overdue).length;
		if (spoolId === null) coiled += overdue;
		else due[spoolId] = (due[spoolId] ?? 0) + overdue;
	}
	const spools = await rack();
	return { rack: spools, due, coiled, unreadable: await unreadable() };
};
