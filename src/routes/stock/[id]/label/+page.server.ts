import { shortCode } from '$lib/inventory/short-code';
import { addressFor, stockById } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url }) => {
	const entry = await stockById(params.id);
	if (!entry) error(404, "This isn't in the stock, or it was taken out. Go back to the stock.");
	const { origin, loopback } = await addressFor(url);
	return { entry, loopback, code: shortCode(entry.id), address: `${origin}/stock/${entry.id}` };
};
