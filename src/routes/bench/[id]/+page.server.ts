import { loadSetup, recordsOf, runBegun, tempo } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends }) => {
	depends('wendle:bench');
	const setup = await loadSetup(params.id);
	if (!setup) error(404, 'There is no such set-up (any more).');
	return {
		setup,
		records: await recordsOf(params.id),
		begun: await runBegun(params.id),
		tempo: [...(await tempo())]
	};
};
