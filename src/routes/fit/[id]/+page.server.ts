import { newSetup } from '$lib/schema/new-setup';
import { loadSetup, loadSpool } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url }) => {
	if (params.id === 'new') {
		const spoolId = url.searchParams.get('spool');
		const spool = spoolId === null ? undefined : await loadSpool(spoolId);
		if (spoolId !== null && !spool) error(404, 'That spool is no longer on the rack.');
		return { form: newSetup(spool), ...(spoolId !== null && { spoolId }) };
	}
	const saved = await loadSetup(params.id);
	if (!saved) error(404, 'There is no such set-up (any more).');
	return { form: saved.form, saved: { id: saved.id, version: saved.version } };
};
