import { coilLabel, sectionsOf } from '$lib/bench/coil-label';
import { shortCode } from '$lib/inventory/short-code';
import { addressFor, strandsNow } from '$lib/server/services';
import { error } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

/** The label of a coil: `?of=` a strand. */
export const load: PageServerLoad = async ({ url, locals }) => {
	const id = url.searchParams.get('of') ?? '';
	const now = await strandsNow();
	const kept = now.kept.find((one) => one.id === id);
	const [state, component] = [now.states.get(id), now.made.get(id)];
	if (!kept || !state || !component)
		error(404, "This line or backing doesn't exist, or it was removed. Go back to Care.");
	const { origin, loopback } = await addressFor(url);
	return {
		loopback,
		code: shortCode(id),
		label: coilLabel(kept, state, locals.units),
		strands: [{ role: kept.kind, sections: sectionsOf(component, state.lengthMm) }],
		address: `${origin}/care?thing=${encodeURIComponent(id)}`
	};
};
