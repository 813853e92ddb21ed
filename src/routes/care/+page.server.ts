import { care } from '$lib/server/services';
import type { PageServerLoad } from './$types';

/** All of it, or what is on one spool: `?spool=`. */
export const load: PageServerLoad = async ({ url }) => {
	const today = new Date().toISOString().slice(0, 10);
	const spool = url.searchParams.get('spool');
	const all = await care(today);
	const entries = spool === null ? all.entries : all.entries.filter(({ spoolId }) => spoolId === spool);
	return { care: { ...all, entries }, today, one: spool !== null };
};
