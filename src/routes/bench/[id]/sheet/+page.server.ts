import { missingSetup } from '$lib/server/missing';
import { learntHere, loadSetup, tempo } from '$lib/server/services';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
	const setup = await loadSetup(params.id);
	if (!setup) return missingSetup(params.id);
	const learnt = await learntHere(setup.form, {
		setupId: setup.id,
		spoolId: setup.spoolId,
		who: locals.winder,
		today: locals.today
	});
	return { setup, learnt, tempo: [...(await tempo())] };
};
