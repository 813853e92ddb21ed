import { missingSetup } from '$lib/server/missing';
import { loadSetup, photoIds, windingsOf } from '$lib/server/services';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends }) => {
	depends('wendle:past');
	const setup = await loadSetup(params.id);
	if (!setup) return missingSetup(params.id);
	return {
		id: params.id,
		name: setup.form.spool.name,
		records: await windingsOf(params.id),
		photos: await photoIds()
	};
};
