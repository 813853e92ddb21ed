import { originOf } from '$lib/server/origin';
import { windingById } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url }) => {
	const record = await windingById(params.id);
	if (!record) error(404, "This winding doesn't exist, or it was undone. Go back to the rack.");
	return { record, address: `${originOf(url)}/fit/${record.setupId}` };
};
