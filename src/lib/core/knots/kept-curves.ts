import { findKnot } from './catalogue';
import { drawn, type DrawnKnot, type Knot } from './knot';
import { unpacked, type CurvesName, type PackedCurves } from './tight';

/**
 * The curves that `scripts/tighten-knots.mjs` computed. They are many and large, so that each is fetched only when its
 * knot is looked at.
 */
const FILES: Record<CurvesName, () => Promise<{ readonly default: unknown }>> = {
	'overhand-stopper': () => import('./tight/overhand-stopper.json'),
	'overhand-arbor': () => import('./tight/overhand-arbor.json'),
	'uni-arbor': () => import('./tight/uni-arbor.json'),
	'double-uni': () => import('./tight/double-uni.json'),
	'surgeons-loop': () => import('./tight/surgeons-loop.json'),
	'surgeons-join': () => import('./tight/surgeons-join.json'),
	'loop-to-loop': () => import('./tight/loop-to-loop.json'),
	'nail-knot': () => import('./tight/nail-knot.json'),
	'own-loop': () => import('./tight/own-loop.json'),
	'needle-nail-knot': () => import('./tight/needle-nail-knot.json'),
	albright: () => import('./tight/albright.json'),
	'blood-knot': () => import('./tight/blood-knot.json')
};

/** A knot with its curves: every stage of it can be drawn, and the way between them. */
export async function drawKnot(knot: Knot): Promise<DrawnKnot> {
	if (!knot.tightening) return drawn(knot, undefined);
	const { default: kept } = await FILES[knot.tightening.curves]();
	return drawn(knot, unpacked(kept as PackedCurves));
}

/** The knot of that name with its curves, if there is one. */
export async function findDrawnKnot(slug: string): Promise<DrawnKnot | undefined> {
	const knot = findKnot(slug);
	return knot && drawKnot(knot);
}

/** All knots as far as a picture of the finished one needs: one file for all of them. */
export async function finishedKnots(): Promise<(knot: Knot) => DrawnKnot> {
	const { default: kept } = await import('./tight/finished.json');
	const all = kept as unknown as Record<string, PackedCurves>;
	return (knot) => drawn(knot, knot.tightening && unpacked(all[knot.tightening.curves]!));
}
