import type { Fit } from '../fit/solve';
import { ended } from '../numeric/ended';
import { seededRandom } from '../numeric/random';
import { mean, quantileSorted, shareBelow, summarySorted, type Summary } from '../numeric/sample';
import type { Share } from './first-order';
import { sharesOf, type Problem } from './inputs';
import { jointInputs } from './joint';
import { outcomeOf, planOf } from './outcome';
import { DEFAULT_SPREADS, type Spreads } from './spreads';

/** How a person knows when to stop: by the planned length (or its turns), or by the depth a rule reads. */
export type StopBy = 'length' | 'depth';

export interface SimulationOptions {
	readonly trials: number;
	readonly seed: number;
	readonly spreads?: Spreads | undefined;
	readonly stopBy?: StopBy | undefined;
}

export interface Simulation {
	/** Trials that had an answer: an arbor that came out wider than its rim has none. */
	readonly trials: number;
	readonly gapMm: Summary;
	/** Length that would have brought the wanted gap. Absent when nothing was looked for. */
	readonly lengthMm?: Summary;
	/** Chance that the line touches rim or frame. */
	readonly rubProbability: number;
	/** What the spread of the gap comes from, largest first. */
	readonly shares: readonly Share[];
	/** All gaps in rising order, mm. */
	readonly gapsMm: Float64Array;
	/** All lengths at which the line would just touch, in rising order, mm: see {@link lengthAtRisk}. */
	readonly lengthsToRubMm: Float64Array;
}

/** Trials between two looks at the clock or the cancel button. */
const BATCH = 1000;

/** Pearson correlation of two samples, squared. */
function correlationSquared(xs: ArrayLike<number>, ys: ArrayLike<number>, meanY: number): number {
	const meanX = mean(xs);
	let [xy, xx, yy] = [0, 0, 0];
	for (let i = 0; i < xs.length; i++) {
		const [x, y] = [xs[i]! - meanX, ys[i]! - meanY];
		xy += x * y;
		xx += x * x;
		yy += y * y;
	}
	return xx > 0 && yy > 0 ? (xy * xy) / (xx * yy) : 0;
}

/**
 * Monte Carlo over the spreads: every trial is a spool, a stack and a reading as they might truly be, and
 * the plan carried out on them. Inputs are normal, and independent unless they were learnt together. Yields the number of trials done after
 * each batch, so that the caller can show progress or stop; returns the result.
 *
 * Shares are squared correlations of the gap with each input, made to add up to one: right where the gap
 * is nearly linear in the inputs.
 * Source: JCGM 101 (Supplement 1 to the GUM), propagation of distributions.
 */
export function* simulation(
	problem: Problem,
	planned: Fit,
	{ trials, seed, spreads = DEFAULT_SPREADS, stopBy = 'length' }: SimulationOptions
): Generator<number, Simulation> {
	const plan = planOf(planned);
	const { labels, moved } = jointInputs(problem, spreads);
	const byDepth = stopBy === 'depth' && plan !== undefined;
	const random = seededRandom(seed);
	const drawn = labels.map(() => new Float64Array(trials));
	const readings = new Float64Array(trials);
	const [gaps, lengths, toRub] = [0, 1, 2].map(() => new Float64Array(trials)) as [
		Float64Array,
		Float64Array,
		Float64Array
	];
	let count = 0;
	for (let trial = 0; trial < trials; trial++) {
		const x = drawn.map((of) => (of[count] = random.normal()));
		const truth = moved(x);
		const reading = random.normal();
		readings[count] = reading;
		const outcome = outcomeOf(truth, plan, reading * spreads.depthMm);
		if (outcome) {
			gaps[count] = byDepth ? outcome.gapByDepthMm : outcome.gapByLengthMm;
			lengths[count] = outcome.lengthMm;
			toRub[count] = outcome.lengthToRubMm;
			count++;
		}
		if ((trial + 1) % BATCH === 0) yield trial + 1;
	}
	if (count === 0) throw new RangeError('no trial had an answer: the spreads are wider than the spool');

	const kept = gaps.subarray(0, count);
	const meanGap = mean(kept);
	const parts: { label: Omit<Share, 'share'>; part: number }[] = labels.map((label, k) => ({
		label,
		part: correlationSquared(drawn[k]!.subarray(0, count), kept, meanGap)
	}));
	if (byDepth)
		parts.push({
			label: { key: 'depth-reading' },
			part: correlationSquared(readings.subarray(0, count), kept, meanGap)
		});
	const shares = sharesOf(parts);
	const gapsMm = kept.slice().sort();
	const lengthsToRubMm = toRub.slice(0, count).sort();
	const base = { trials: count, gapMm: summarySorted(gapsMm), shares, gapsMm, lengthsToRubMm };
	const rubProbability = shareBelow(gapsMm, 0);
	return planned.solved
		? { ...base, rubProbability, lengthMm: summarySorted(lengths.slice(0, count).sort()) }
		: { ...base, rubProbability };
}

/** The whole simulation at once. */
export const simulate = (problem: Problem, planned: Fit, options: SimulationOptions): Simulation =>
	ended(simulation(problem, planned, options));

/**
 * The longest backing that keeps the chance of rubbing at `risk`: as many of the trials touch at less.
 */
export const lengthAtRisk = (simulated: Simulation, risk: number): number =>
	quantileSorted(simulated.lengthsToRubMm, risk);
