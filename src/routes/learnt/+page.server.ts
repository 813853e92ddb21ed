import { learntTold } from '$lib/server/services';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
	depends('wendle:learnt');
	return { told: await learntTold() };
};
