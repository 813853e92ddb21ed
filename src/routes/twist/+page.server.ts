import { twistQuestion } from '$lib/schema/twist-question';
import { keptNow, woundAs } from '$lib/server/services';
import type { PageServerLoad } from './$types';

/** The question of the address; and with `?line=`, what the ledger of that line says. */
export const load: PageServerLoad = async ({ url, depends, locals }) => {
	depends('wendle:care');
	const id = url.searchParams.get('line');
	const now = id === null ? undefined : await keptNow();
	const [kept, state] = [
		now?.kept.find((one) => one.id === id),
		id === null ? undefined : now?.states.get(id)
	];
	const question = twistQuestion(url.searchParams, state && Math.round(state.lengthMm));
	if (!kept || !state) return { question, today: locals.today, line: undefined };
	return {
		question,
		today: locals.today,
		line: {
			id: kept.id,
			label: kept.label,
			perMetre: state.twist.perMetre,
			turns: state.twist.turns,
			growth: state.growth,
			tested: state.last['loop-test']?.day,
			wound: await woundAs(kept.id)
		}
	};
};
