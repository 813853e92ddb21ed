import { findKnot } from './catalogue';
import { drawn, type DrawnKnot, type Knot } from './knot';
import { unpacked, withWay, type CurvesByWraps, type CurvesName, type PackedCurves } from './tight';

type File = () => Promise<{ readonly default: unknown }>;
/**
 * The curves that `scripts/tighten-knots.mjs` computed: those of the stages, and those in between, which show a knot
 * while it is pulled tight. They are large, so Wendle fetches them only for a knot that somebody looks at.
 */
const FILES: Record<CurvesName, readonly [stages: File, between: File]> = {
	'overhand-stopper': [
		() => import('./tight/overhand-stopper.json'),
		() => import('./tight/ways/overhand-stopper.json')
	],
	'overhand-arbor': [
		() => import('./tight/overhand-arbor.json'),
		() => import('./tight/ways/overhand-arbor.json')
	],
	'uni-arbor': [() => import('./tight/uni-arbor.json'), () => import('./tight/ways/uni-arbor.json')],
	'double-uni': [() => import('./tight/double-uni.json'), () => import('./tight/ways/double-uni.json')],
	'surgeons-loop': [
		() => import('./tight/surgeons-loop.json'),
		() => import('./tight/ways/surgeons-loop.json')
	],
	'surgeons-join': [
		() => import('./tight/surgeons-join.json'),
		() => import('./tight/ways/surgeons-join.json')
	],
	'loop-to-loop': [() => import('./tight/loop-to-loop.json'), () => import('./tight/ways/loop-to-loop.json')],
	'nail-knot': [() => import('./tight/nail-knot.json'), () => import('./tight/ways/nail-knot.json')],
	'own-loop': [() => import('./tight/own-loop.json'), () => import('./tight/ways/own-loop.json')],
	'needle-nail-knot': [
		() => import('./tight/needle-nail-knot.json'),
		() => import('./tight/ways/needle-nail-knot.json')
	],
	albright: [() => import('./tight/albright.json'), () => import('./tight/ways/albright.json')],
	'blood-knot': [() => import('./tight/blood-knot.json'), () => import('./tight/ways/blood-knot.json')]
};
const read = async (file: File): Promise<CurvesByWraps> => unpacked((await file()).default as PackedCurves);

/** A knot with its curves: every stage of it can be drawn, and the way between them as long as it is loose. */
export async function drawKnot(knot: Knot): Promise<DrawnKnot> {
	return drawn(knot, knot.tightening && (await read(FILES[knot.tightening.curves][0])));
}

/** A knot that can also be shown while it is pulled tight. Its second file is the larger one. */
export async function drawMovingKnot(knot: Knot): Promise<DrawnKnot> {
	if (!knot.tightening) return drawn(knot, undefined);
	const [stages, way] = await Promise.all(FILES[knot.tightening.curves].map(read));
	return drawn(knot, withWay(stages!, way!), true);
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
