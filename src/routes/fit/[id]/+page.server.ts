import { missingSetup } from '$lib/server/missing';
import { gapOfTechnique } from '$lib/core';
import { SPOOL_WAYS } from '$lib/setup/limits';
import { newSetup } from '$lib/setup/presets';
import { learntHere, loadSetup, loadSpool } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url, locals }) => {
	const who = { who: locals.winder, today: locals.today };
	if (params.id === 'new') {
		// For a spool that is there, or for another like it.
		const [spoolId, likeId] = [url.searchParams.get('spool'), url.searchParams.get('like')];
		const asked = spoolId ?? likeId;
		const spool = asked === null ? undefined : await loadSpool(asked);
		if (asked !== null && !spool) error(404, "That spool isn't on the rack any more. Go back to the rack.");
		const form = newSetup(spool?.form, locals.units);
		if (spool && spoolId === null)
			form.spool = { ...spool.form, name: `${spool.form.name}, spare`.slice(0, 80) };
		const know = SPOOL_WAYS.find((way) => way === url.searchParams.get('know'));
		if (know && !spool) form.spool.way = know;
		// The gap is a number in the form: whoever leaves another as a rule begins with theirs.
		const { gap } = locals.schools;
		if (gap) form.fill.gap = `${gapOfTechnique(gap)} mm`;
		const learnt = await learntHere(form, { ...who, ...(spoolId !== null && { spoolId }) });
		return {
			form,
			learnt,
			...(spool && spoolId !== null && { of: { spoolId, spoolVersion: spool.version } })
		};
	}
	const saved = await loadSetup(params.id);
	if (!saved) return missingSetup(params.id);
	const { id, spoolId, version, form } = saved;
	const learnt = await learntHere(form, { ...who, setupId: id, spoolId });
	return { form, learnt, saved: { id, spoolId, version } };
};
