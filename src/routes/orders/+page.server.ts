import { board } from '$lib/server/services';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
	depends('wendle:orders');
	return { board: await board() };
};
