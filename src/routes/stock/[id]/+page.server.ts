import { stockPage } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends, locals }) => {
	depends('wendle:stock');
	const stock = await stockPage(locals.today);
	if (!stock.entries.some(({ id }) => id === params.id))
		error(404, "This isn't in the stock, or it was taken out. Go back to the stock.");
	return { stock };
};
