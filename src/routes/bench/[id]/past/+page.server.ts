import { loadSetup, recordsOf } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const setup = await loadSetup(params.id);
	if (!setup) error(404, 'There is no such set-up (any more).');
	return { id: params.id, name: setup.form.spool.name, records: await recordsOf(params.id) };
};
