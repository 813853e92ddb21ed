import { spoolOf } from '../calibrate/source';
import type { Fit } from '../fit/solve';
import { isKnown, spaceMm3, type Component } from '../fit/stack';
import { crossSectionMm2 } from '../line/sections';
import { packingFraction } from '../packing/packing';
import { radiusAtVolume, volumeToRadius, type Spool } from '../spool';
import type { Problem } from './inputs';

/** What a person sets out to do: wind so much, or to such a depth. */
export interface Plan {
	readonly index: number;
	readonly lengthMm: number;
	readonly stopDepthMm: number;
}

/** The plan of a fit; none when nothing was solved for, or when no backing goes under at all. */
export const planOf = (fit: Fit): Plan | undefined => (fit.fits ? fit.solved : undefined);

/** What becomes of a plan when the truth is otherwise. */
export interface Outcome {
	/** Length that would have brought the wanted gap. */
	readonly lengthMm: number;
	readonly gapByLengthMm: number;
	readonly gapByDepthMm: number;
	/** Length at which the line just touches rim or frame. */
	readonly lengthToRubMm: number;
}

/** Space of a millimetre of the component that is solved for, mm³. */
const spacePerMm = (component: Component): number =>
	isKnown(component) ? NaN : crossSectionMm2(component.diameterMm) / packingFraction(component.layEfficiency);

const gapWith = (spool: Spool, filledMm3: number): number =>
	spool.gapFromRadiusMm - radiusAtVolume(spool, Math.max(filledMm3, 0));

/**
 * Carries a plan out on the true spool with the true stack. Closed-form: every component takes its volume
 * over its packing, wherever it lies. Undefined when the truth is no spool.
 *
 * @param depthErrorMm how much too deep the rule was read when stopping
 */
export function outcomeOf(truth: Problem, plan: Plan | undefined, depthErrorMm = 0): Outcome | undefined {
	const built = spoolOf(truth.source);
	if (!built.ok) return undefined;
	const { spool } = built.value;
	const knownMm3 = truth.stack.reduce((sum, component) => sum + spaceMm3(component), 0);
	const index = truth.stack.findIndex((component) => !isKnown(component));
	const perMm = index < 0 ? NaN : spacePerMm(truth.stack[index]!);
	const roomTo = (gapMm: number): number =>
		volumeToRadius(spool, Math.max(spool.gapFromRadiusMm - gapMm, spool.arborRadiusMm)) - knownMm3;
	const lengthMm = Math.max(roomTo(truth.gapMm), 0) / perMm;
	const lengthToRubMm = Math.max(roomTo(0), 0) / perMm;
	if (!plan) {
		const gapMm = gapWith(spool, knownMm3);
		return { lengthMm, gapByLengthMm: gapMm, gapByDepthMm: gapMm, lengthToRubMm };
	}
	const aboveMm3 = truth.stack.slice(plan.index + 1).reduce((sum, c) => sum + spaceMm3(c), 0);
	const stopRadiusMm = Math.max(spool.rimRadiusMm - plan.stopDepthMm - depthErrorMm, spool.arborRadiusMm);
	return {
		lengthMm,
		gapByLengthMm: gapWith(spool, knownMm3 + plan.lengthMm * perMm),
		gapByDepthMm: gapWith(spool, volumeToRadius(spool, stopRadiusMm) + aboveMm3),
		lengthToRubMm
	};
}
