import { formatNumber, retrievePerTurnMm, windingAfter, type ChosenTechniques } from '$lib/core';
import { jobOf } from '$lib/bench/job';
import { shoppingOf } from '$lib/bench/shopping';
import type { SetupForm } from '$lib/setup/form';
import type { Workout } from '$lib/setup/evaluate-form';
import {
	showLong,
	showRetrieve,
	showSmall,
	showSmallRange,
	showTurns,
	smallUnit,
	type UnitSystem
} from '$lib/wording/units';

/** A small chance as people say it: "1 in 500". */
export function oneIn(chance: number): string {
	if (!(chance > 0.0005)) return 'under 1 in 2,000';
	if (chance > 0.5) return 'more often than not';
	const every = 1 / chance;
	const step = 10 ** Math.max(Math.floor(Math.log10(every)) - (every < 20 ? 0 : 1), 0);
	return `1 in ${formatNumber(Math.round(every / step) * step, 0)}`;
}

/** What is in each panel, in a number or two: it stands on the panel's tab. */
export function figuresOf(
	form: SetupForm,
	workout: Workout,
	rubs: number | undefined,
	{ units, schools }: { units: UnitSystem; schools: ChosenTechniques }
): Record<string, string> {
	const { fit, estimate, known, stopIndex, stack } = workout;
	const { low, high } = estimate.ranges.gapMm;
	const layer = fit.layers[stopIndex];
	const component = stack[stopIndex];
	const half =
		layer && component && layer.turns >= 2
			? windingAfter(known.spool, layer.innerRadiusMm, component, Math.round(layer.turns / 2))
			: undefined;
	const buy = shoppingOf(workout, jobOf(form, workout, schools)).find(
		({ about, goesOnMm }) => about && goesOnMm > 0
	);
	return {
		sure:
			rubs === undefined
				? `gap ${showSmallRange(low, high, units)} ${smallUnit(units)}`
				: `rubs ${oneIn(rubs)}`,
		ways: `this plan: gap ± ${showSmall((high - low) / 2, units)}`,
		pause:
			half && layer
				? `${showTurns(layer.turns / 2 / workout.gear)} turns: ${showSmall(half.depthMm, units)} deep`
				: '',
		run: `${showRetrieve(workout.gear * retrievePerTurnMm(fit.layers.at(-1)!.outerRadiusMm), units)} a turn when full`,
		swaps: workout.swaps.length === 0 ? 'none yet' : `${workout.swaps.length} planned`,
		list: buy ? `buy ${buy.cut.buyMm.map((mm) => showLong(mm, units)).join(' + ')}` : ''
	};
}
