import { strandsNow, woundAs } from '$lib/server/services';
import type { PageServerLoad } from './$types';

/** With `?line=`, what the ledger of that line says. Nothing else of the address is read here: the rest needs no server. */
export const load: PageServerLoad = async ({ url, depends, locals }) => {
	depends('wendle:care');
	const id = url.searchParams.get('line');
	const now = id === null ? undefined : await strandsNow();
	const [kept, state] = [
		now?.kept.find((one) => one.id === id),
		id === null ? undefined : now?.states.get(id)
	];
	if (!kept || !state) return { today: locals.today, line: undefined };
	return {
		today: locals.today,
		line: {
			id: kept.id,
			label: kept.label,
			lengthMm: Math.round(state.lengthMm),
			perMetre: state.twist.perMetre,
			turns: state.twist.turns,
			growth: state.growth,
			tested: state.last['loop-test']?.day,
			wound: await woundAs(kept.id)
		}
	};
};
