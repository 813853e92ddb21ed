import { choleskyOf } from '../numeric/cholesky';
import { seededRandom } from '../numeric/random';
import { shareBelow, summarySorted, type Summary } from '../numeric/sample';
import type { Belief } from './belief';
import { gapAsItIs, gapByDepth, gapByLength, gapByTurns, rightTodo } from './outcome';
import { depthSigmaMm } from './reading';

/** The final gap over worlds drawn from a belief, by how the end is found. */
export interface SampledGap {
	readonly gapMm: Summary;
	/** Chance that the line touches rim or frame. */
	readonly rubProbability: number;
}
export type Sampled = Record<'byDepth' | 'byTurns' | 'byLength' | 'asItIs', SampledGap>;

/**
 * What following the estimate comes to, by sampling its posterior: worlds drawn from the normal around the most plausible state, each
 * with the plan carried out on it. Where answers bend within the ranges, this is closer than the first order.
 * Source: JCGM 101 (Supplement 1 to the GUM), propagation of distributions.
 */
export function sampleEstimate(belief: Belief, trials: number, seed: number): Sampled {
	const { state, posterior, story, stop, problem, spreads } = belief;
	const lower = choleskyOf(posterior.covariance);
	const todo = rightTodo(posterior.world, story, stop, problem);
	const ruleMm = depthSigmaMm({}, spreads);
	const { normal } = seededRandom(seed);
	const gaps = {
		byDepth: [] as number[],
		byTurns: [] as number[],
		byLength: [] as number[],
		asItIs: [] as number[]
	};
	for (let i = 0; i < trials; i++) {
		const drawn = posterior.at.map(normal);
		const x = posterior.at.map((z, row) => {
			let sum = z;
			for (let k = 0; k <= row; k++) sum += lower[row]![k]! * drawn[k]!;
			return sum;
		});
		const world = state.worldAt(x);
		const rule = ruleMm * normal();
		if (!world) continue;
		gaps.byDepth.push(gapByDepth(world, story, stop, todo, rule));
		gaps.byTurns.push(gapByTurns(world, story, stop, todo));
		gaps.byLength.push(gapByLength(world, story, stop, todo));
		gaps.asItIs.push(gapAsItIs(world, story, stop));
	}
	const summed = (values: readonly number[]): SampledGap => {
		const rising = Float64Array.from(values).sort();
		return { gapMm: summarySorted(rising), rubProbability: shareBelow(rising, 0) };
	};
	return {
		byDepth: summed(gaps.byDepth),
		byTurns: summed(gaps.byTurns),
		byLength: summed(gaps.byLength),
		asItIs: summed(gaps.asItIs)
	};
}
