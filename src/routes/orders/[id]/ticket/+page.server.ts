import { shortCode } from '$lib/inventory/short-code';
import { addressFor, orderById } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url }) => {
	const order = await orderById(params.id);
	if (!order) error(404, "This order doesn't exist, or it was taken away. Go back to the orders.");
	const { origin, loopback } = await addressFor(url);
	return { order, loopback, code: shortCode(order.id), address: `${origin}/orders/${order.id}` };
};
