import { missingSetup } from '$lib/server/missing';
import { gapOfTechnique } from '$lib/core';
import type { SetupForm } from '$lib/setup/form';
import { SPOOL_WAYS } from '$lib/setup/limits';
import { newSetup } from '$lib/setup/presets';
import { readSent } from '$lib/setup/sent';
import { learntHere, loadSetup, loadSpool } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

/** The set-up that a link holds. */
function sentForm(sent: string): SetupForm {
	return (
		readSent(sent) ?? error(400, 'There is no set-up in this link. Copy the whole link, or ask for it again.')
	);
}

/** A new set-up, for a spool that is there or for another like it. */
async function newForm(asked: URLSearchParams, locals: App.Locals) {
	const [spoolId, likeId] = [asked.get('spool'), asked.get('like')];
	const id = spoolId ?? likeId;
	const spool = id === null ? undefined : await loadSpool(id);
	if (id !== null && !spool) error(404, "That spool isn't on the rack any more. Go back to the rack.");
	const form = newSetup(spool?.form, locals.units);
	if (spool && spoolId === null)
		form.spool = { ...spool.form, name: `${spool.form.name}, spare`.slice(0, 80) };
	const know = SPOOL_WAYS.find((way) => way === asked.get('know'));
	if (know && !spool) form.spool.way = know;
	// The gap is a number in the form: whoever leaves another as a rule begins with theirs.
	const { gap } = locals.schools;
	if (gap) form.fill.gap = `${gapOfTechnique(gap)} mm`;
	return { form, ...(spool && spoolId !== null && { of: { spoolId, spoolVersion: spool.version } }) };
}

export const load: PageServerLoad = async ({ params, url, locals }) => {
	const who = { who: locals.winder, today: locals.today };
	if (params.id === 'new') {
		const sent = url.searchParams.get('setup');
		if (sent !== null) {
			const form = sentForm(sent);
			return { form, sent, learnt: await learntHere(form, who) };
		}
		const { form, of } = await newForm(url.searchParams, locals);
		return { form, of, learnt: await learntHere(form, { ...who, spoolId: of?.spoolId }) };
	}
	const saved = await loadSetup(params.id);
	if (!saved) return missingSetup(params.id);
	const { id, spoolId, version, form } = saved;
	const learnt = await learntHere(form, { ...who, setupId: id, spoolId });
	return { form, learnt, saved: { id, spoolId, version } };
};
