import { shortCode } from '$lib/inventory/short-code';
import { addressFor, windingById } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url }) => {
	const record = await windingById(params.id);
	if (!record) error(404, "This winding doesn't exist, or it was undone. Go back to the rack.");
	const { origin, loopback } = await addressFor(url);
	const { setupId } = record;
	return { record, loopback, address: `${origin}/fit/${setupId}`, code: shortCode(setupId) };
};
