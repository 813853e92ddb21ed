import { rack } from '$lib/server/services';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
	depends('wendle:rack');
	return { rack: await rack() };
};
