import { readCareFilter } from '$lib/ui/state/care-query';
import { carePage } from '$lib/server/services';
import type { PageServerLoad } from './$types';

/** What is kept, filtered as the address says: see `care-page.ts`. */
export const load: PageServerLoad = async ({ url, depends, locals }) => {
	depends('wendle:care');
	const day = locals.today;
	const { searchParams } = url;
	return {
		care: await carePage(day, readCareFilter(searchParams)),
		today: day,
		adding: searchParams.get('add') === '1'
	};
};
