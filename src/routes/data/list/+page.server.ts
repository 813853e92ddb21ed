import { listedHere } from '$lib/server/services';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
	depends('wendle:data');
	return { there: await listedHere() };
};
