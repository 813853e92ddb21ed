import { care } from '$lib/server/services';
import { today } from '$lib/server/today';
import type { PageServerLoad } from './$types';

/** All of it, or what is on one spool: `?spool=`. */
export const load: PageServerLoad = async ({ url }) => {
	const day = today();
	const spool = url.searchParams.get('spool');
	const all = await care(day);
	const entries = spool === null ? all.entries : all.entries.filter(({ spoolId }) => spoolId === spool);
	return { care: { ...all, entries }, today: day, one: spool !== null };
};
