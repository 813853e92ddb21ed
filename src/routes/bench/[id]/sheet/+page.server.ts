import { missingSetup } from '$lib/server/missing';
import { loadSetup, tempo } from '$lib/server/services';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const setup = await loadSetup(params.id);
	if (!setup) return missingSetup(params.id);
	return { setup, tempo: [...(await tempo())] };
};
