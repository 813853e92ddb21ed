import { spoolOf } from '../calibrate/source';
import { solveFit, type Fit } from '../fit/solve';
import { isKnown } from '../fit/stack';
import { totalVolumeMm3 } from '../line/sections';
import { packingFraction } from '../packing/packing';
import { radiusAtVolume, volumeToRadius } from '../spool';
import { uncertainInputs, type InputKey, type Problem } from './inputs';
import { DEFAULT_SPREADS, RANGE_Z, type Spreads } from './spreads';

/** From the 5th to the 95th percentile: nine times in ten the truth lies within. */
export interface Range {
	readonly low: number;
	readonly high: number;
}

export type Answer = 'lengthMm' | 'stopDepthMm' | 'turns' | 'gapMm';
type Answers = Record<Answer, number>;

export interface Share {
	readonly key: InputKey | 'depth-reading';
	readonly component?: number;
	/** Share of the answer's variance, 0–1. */
	readonly share: number;
}

export interface FirstOrder {
	readonly ranges: Record<Answer, Range>;
	/** What the uncertainty of the final gap comes from, largest first. */
	readonly gapShares: readonly Share[];
	/** The same for the length. */
	readonly lengthShares: readonly Share[];
}

/** Final gap when backing is wound to a depth of `depthMm` and the rest of the stack goes over it, mm. */
function gapWoundToDepth(problem: Problem, solvedIndex: number, depthMm: number): number | undefined {
	const built = spoolOf(problem.source);
	if (!built.ok) return undefined;
	const { spool } = built.value;
	const stopRadiusMm = Math.max(spool.rimRadiusMm - depthMm, spool.arborRadiusMm);
	const aboveMm3 = problem.stack
		.slice(solvedIndex + 1)
		.filter(isKnown)
		.reduce((sum, c) => sum + totalVolumeMm3(c.sections) / packingFraction(c.layEfficiency), 0);
	return spool.gapFromRadiusMm - radiusAtVolume(spool, volumeToRadius(spool, stopRadiusMm) + aboveMm3);
}

/**
 * The four answers of a problem. The gap is that of winding to the planned depth, which is what a person
 * with a rule does; when nothing is solved for, it is that of winding all of it on.
 */
function answersOf(problem: Problem, planned: Fit): Answers | undefined {
	const built = spoolOf(problem.source);
	if (!built.ok) return undefined;
	const solved = solveFit(built.value.spool, problem.stack, problem.gapMm);
	if (!solved.ok) return undefined;
	const plan = planned.fits ? planned.solved : undefined;
	const gapMm = plan ? gapWoundToDepth(problem, plan.index, plan.stopDepthMm) : solved.value.gapMm;
	if (gapMm === undefined) return undefined;
	const { lengthMm = NaN, stopDepthMm = NaN, turns = NaN } = solved.value.solved ?? {};
	return { lengthMm, stopDepthMm, turns, gapMm };
}

const subtract = (a: Answers, b: Answers, scale: number): Answers => ({
	lengthMm: (a.lengthMm - b.lengthMm) * scale,
	stopDepthMm: (a.stopDepthMm - b.stopDepthMm) * scale,
	turns: (a.turns - b.turns) * scale,
	gapMm: (a.gapMm - b.gapMm) * scale
});

/** Step of the central difference, in standard deviations. */
const STEP_Z = 0.5;

/**
 * First-order (derivative) propagation: each input is moved by half its spread to either side, and the
 * variances the moves bring are added. Good where the answers are nearly linear over the spreads, which
 * fits with some room left are. A side on which the problem has no answer is left out.
 *
 * Ranges are clamped where nature does: no negative length or turns.
 */
export function firstOrder(problem: Problem, planned: Fit, spreads: Spreads = DEFAULT_SPREADS): FirstOrder {
	const nominal = answersOf(problem, planned);
	if (!nominal) throw new RangeError('the problem itself has no answer');

	const moves: { key: Share['key']; component?: number; by: Answers }[] = [];
	for (const { key, component, shifted } of uncertainInputs(problem, spreads)) {
		const [up, down] = [answersOf(shifted(STEP_Z), planned), answersOf(shifted(-STEP_Z), planned)];
		if (!up && !down) continue;
		const by = subtract(up ?? nominal, down ?? nominal, 1 / (STEP_Z * ((up ? 1 : 0) + (down ? 1 : 0))));
		moves.push(component === undefined ? { key, by } : { key, component, by });
	}
	if (planned.fits && planned.solved) {
		const { index, stopDepthMm } = planned.solved;
		const off = gapWoundToDepth(problem, index, stopDepthMm + spreads.depthMm);
		const gapMm = (off ?? nominal.gapMm) - nominal.gapMm;
		moves.push({ key: 'depth-reading', by: { lengthMm: 0, stopDepthMm: 0, turns: 0, gapMm } });
	}

	const variance = (answer: Answer): number => moves.reduce((sum, { by }) => sum + by[answer] ** 2, 0);
	const range = (answer: Answer, floor: number): Range => {
		const half = RANGE_Z * Math.sqrt(variance(answer));
		return { low: Math.max(nominal[answer] - half, floor), high: Math.max(nominal[answer] + half, floor) };
	};
	const shares = (answer: Answer): Share[] => {
		const total = variance(answer) || 1;
		return moves
			.map(({ by, ...from }) => ({ ...from, share: by[answer] ** 2 / total }))
			.sort((a, b) => b.share - a.share);
	};
	return {
		ranges: {
			lengthMm: range('lengthMm', 0),
			stopDepthMm: range('stopDepthMm', -Infinity),
			turns: range('turns', 0),
			gapMm: range('gapMm', -Infinity)
		},
		gapShares: shares('gapMm'),
		lengthShares: planned.solved ? shares('lengthMm') : []
	};
}
