import { missingSetup } from '$lib/server/missing';
import { loadSetup, windingsOf } from '$lib/server/services';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const setup = await loadSetup(params.id);
	if (!setup) return missingSetup(params.id);
	return { id: params.id, name: setup.form.spool.name, records: await windingsOf(params.id) };
};
