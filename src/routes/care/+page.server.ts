import { readCareFilter } from '$lib/schema/care-page';
import { carePage } from '$lib/server/services';
import { today } from '$lib/server/today';
import type { PageServerLoad } from './$types';

/** What is kept, filtered as the address says: see `care-page.ts`. */
export const load: PageServerLoad = async ({ url, depends }) => {
	depends('wendle:care');
	const day = today();
	return { care: await carePage(day, readCareFilter(url.searchParams)), today: day };
};
