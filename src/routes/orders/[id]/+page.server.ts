import { board, spools } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends }) => {
	depends('wendle:orders');
	const { orders, next } = await board();
	const order = orders.find(({ id }) => id === params.id);
	if (!order) error(404, "This order doesn't exist, or it was taken away. Go back to the orders.");
	const after = orders.find(({ id }) => id === next?.orderId);
	return {
		order,
		next: next && after ? { setupId: next.setupId, number: after.number } : null,
		spools: (await spools()).map(({ id, form: { name, hand } }) => ({ id, name, hand }))
	};
};
