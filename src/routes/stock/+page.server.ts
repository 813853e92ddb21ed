import { stockPage } from '$lib/server/services';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, locals }) => {
	depends('wendle:stock');
	return { stock: await stockPage(locals.today) };
};
