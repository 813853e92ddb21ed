import { missingSetup } from '$lib/server/missing';
import { readJob } from '$lib/bench/work';
import { benchJob, learntHere, loadSetup, tempo } from '$lib/server/services';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals, url }) => {
	const setup = await loadSetup(params.id);
	if (!setup) return missingSetup(params.id);
	const learnt = await learntHere(setup.form, {
		setupId: setup.id,
		spoolId: setup.spoolId,
		who: locals.winder,
		today: locals.today
	});
	const doing = await benchJob(params.id, readJob(url.searchParams.get('job')));
	return { setup, doing, learnt, tempo: [...(await tempo())] };
};
