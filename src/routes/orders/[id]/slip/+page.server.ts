import { shortCode } from '$lib/inventory/short-code';
import { addressFor, care, orderById, windingById } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url, locals }) => {
	const order = await orderById(params.id);
	if (!order) error(404, "This order doesn't exist, or it was taken away. Go back to the orders.");
	const { entries } = await care(locals.today);
	const windings = (
		await Promise.all(
			order.reels.flatMap(({ windingId }) => (windingId === null ? [] : [windingById(windingId)]))
		)
	).filter((winding) => winding !== undefined);
	const { origin, loopback } = await addressFor(url);
	return {
		order,
		loopback,
		code: shortCode(order.id),
		reels: windings.map((winding) => ({
			winding,
			/** What is due on its strands. */
			dues: entries
				.filter(({ spoolId }) => spoolId === winding.spoolId)
				.flatMap(({ dues }) => dues.filter(({ job }) => job !== 'rinse'))
		})),
		address: `${origin}/orders/${order.id}`
	};
};
