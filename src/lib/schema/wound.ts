import { spoolOf, volumeToRadius, type Spool } from '$lib/core';
import type { Readings } from './readings';
import type { SetupForm } from './setup';
import { DEFAULT_UNITS } from './units';
import { workOut, type Workout } from './workout';

/** What lies on a spool after winding, drawn from what was measured where it was, else from the plan. */
export interface AsWound {
	readonly spool: Spool;
	readonly workout: Workout;
	readonly backingRadiusMm: number;
	readonly surfaceRadiusMm: number;
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

/** Wound to another depth than planned, the length is in proportion to the space. */
const plannedShare = (spool: Spool, radiusMm: number, plannedRadiusMm: number): number => {
	const plannedMm3 = volumeToRadius(spool, plannedRadiusMm);
	return plannedMm3 > 0 ? volumeToRadius(spool, radiusMm) / plannedMm3 : 0;
};

/** Undefined when the set-up had no answer; a saved form carries its units, so the system does not matter. */
export function asWound(form: SetupForm, readings: Readings): AsWound | undefined {
	const worked = workOut(form, DEFAULT_UNITS);
	if (!worked.ok) return undefined;
	const { fit, problem } = worked.value;
	const built = spoolOf(problem.source);
	if (!built.ok) return undefined;
	const { spool } = built.value;
	const planned = fit.layers[0]!;
	const { turns, depthMm, gapMm } = readings;
	const surfaceRadiusMm = within(
		spool.gapFromRadiusMm - (gapMm ?? fit.gapMm),
		spool.arborRadiusMm,
		spool.gapFromRadiusMm + 20
	);
	const backingRadiusMm =
		depthMm === null
			? planned.outerRadiusMm
			: within(spool.rimRadiusMm - depthMm, spool.arborRadiusMm, surfaceRadiusMm);
	const backingMeasured = turns !== null && depthMm !== null;
	const backingMm = backingMeasured
		? lengthOfTurnsMm(turns, spool.arborRadiusMm, backingRadiusMm)
		: planned.lengthMm * plannedShare(spool, backingRadiusMm, planned.outerRadiusMm);
	return { spool, workout: worked.value, backingRadiusMm, surfaceRadiusMm, backingMm, backingMeasured };
}
