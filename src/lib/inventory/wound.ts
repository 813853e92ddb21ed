import { spoolOf, volumeToRadius, type Spool } from '$lib/core';
import type { Readings } from './read-winding';
import type { SetupForm } from '$lib/setup/form';
import { DEFAULT_UNITS } from '$lib/wording/units';
import { workOut, type Workout } from '$lib/setup/evaluate-form';

/** The strands on a spool after winding, drawn from what was measured, or from the plan where nothing was. */
export interface AsWound {
	readonly spool: Spool;
	readonly workout: Workout;
	/** Surface on which each component ends, from the arbor outward. */
	readonly surfacesMm: readonly number[];
	readonly backingMm: number;
	readonly backingMeasured: boolean;
}

/**
 * Length on after N turns from the arbor to a surface: L = πN(D₀ + D₁)/2 on a straight spool, which needs
 * neither diameter nor packing (each turn is as long as its circle; the mean circle is midway).
 */
export const lengthOfTurnsMm = (turns: number, innerRadiusMm: number, outerRadiusMm: number): number =>
	Math.PI * turns * (innerRadiusMm + outerRadiusMm);

const within = (radiusMm: number, low: number, high: number): number =>
	Math.min(Math.max(radiusMm, low), high);

/** Where each component ends: as planned up to the backing, the rest between the two measured surfaces. */
function surfaces(worked: Workout, spool: Spool, stopMm: number, topMm: number): number[] {
	const { fit, stopIndex } = worked;
	const planned = fit.layers.map(({ outerRadiusMm }) => outerRadiusMm);
	const [stopPlanned, topPlanned] = [planned[stopIndex] ?? spool.arborRadiusMm, planned.at(-1)!];
	const volumes = planned.map((r) => volumeToRadius(spool, r));
	const [from, to] = [volumeToRadius(spool, stopPlanned), volumeToRadius(spool, topPlanned)];
	return planned.map((radiusMm, i) => {
		if (i < stopIndex) return Math.min(radiusMm, stopMm);
		if (i === stopIndex) return stopMm;
		const share = to > from ? (volumes[i]! - from) / (to - from) : 1;
		return stopMm + (topMm - stopMm) * share;
	});
}

/** Undefined when the set-up had no answer; a saved form carries its units, so the system does not matter. */
export function asWound(form: SetupForm, readings: Readings): AsWound | undefined {
	const worked = workOut(form, DEFAULT_UNITS);
	if (!worked.ok) return undefined;
	const { fit, problem, stopIndex } = worked.value;
	const built = spoolOf(problem.source);
	if (!built.ok) return undefined;
	const { spool } = built.value;
	const planned = fit.layers[stopIndex];
	const { turns, depthMm, gapMm } = readings;
	const topMm = within(
		spool.gapFromRadiusMm - (gapMm ?? fit.gapMm),
		spool.arborRadiusMm,
		spool.gapFromRadiusMm + 20
	);
	const innerMm = planned?.innerRadiusMm ?? spool.arborRadiusMm;
	const stopMm =
		depthMm === null || !planned
			? (planned?.outerRadiusMm ?? spool.arborRadiusMm)
			: within(spool.rimRadiusMm - depthMm, innerMm, Math.max(topMm, innerMm));
	const backingMeasured = turns !== null && depthMm !== null;
	const volume = (radiusMm: number): number =>
		volumeToRadius(spool, radiusMm) - volumeToRadius(spool, innerMm);
	const plannedMm3 = planned ? volume(planned.outerRadiusMm) : 0;
	// Wound to another depth than planned, the length is in proportion to the space.
	const share = plannedMm3 > 0 ? volume(stopMm) / plannedMm3 : 0;
	const backingMm = backingMeasured
		? lengthOfTurnsMm(turns, innerMm, stopMm)
		: (planned?.lengthMm ?? 0) * share;
	return {
		spool,
		workout: worked.value,
		surfacesMm: surfaces(worked.value, spool, stopMm, topMm),
		backingMm,
		backingMeasured
	};
}
