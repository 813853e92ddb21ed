import { isKnown } from '../fit/stack';
import type { Belief } from './belief';
import { gradients, varianceAlong, type Observed } from './posterior';
import { depthSigmaMm, type Reading } from './reading';
import { measure } from './observations/measure';
import { diameter } from './observations/diameter';
import { depth } from './observations/depth';
import type { Observation } from './observations/observation';
import type { World } from './world';

/** A measurement that somebody could take next, and what it would buy. */
export interface NextMeasure {
	readonly measure:
		'rim' | 'arbor' | 'width' | 'frame' | 'diameter' | 'depth-now' | 'line-alone' | 'second-place';
	/** 1σ of the final gap, wound to the stop depth, before and after it, mm. */
	readonly gapSigmaMm: number;
	readonly thenGapSigmaMm: number;
	readonly minutes: number;
}

/** Minutes that each takes. Assumptions. */
const MINUTES: Record<NextMeasure['measure'], number> = {
	rim: 1,
	arbor: 2,
	width: 1,
	frame: 1,
	diameter: 3,
	'depth-now': 1,
	'line-alone': 12,
	'second-place': 0.5
};

/** Measurements by what they take off the variance of the final gap per minute, the best first; only those that help. */
export function measureNext(belief: Belief, gapSlope: readonly number[], ruleMm: number): NextMeasure[] {
	const { state, posterior, story, stop, spreads, problem } = belief;
	const variance = varianceAlong(posterior.covariance, gapSlope);
	const before = Math.hypot(Math.sqrt(variance), ruleMm);
	const observed = <R extends Reading>(of: Observation<R>, reading: R): Observed<World> => ({
		value: 0,
		sigma: of.sigma(reading, spreads),
		predict: of.predict(reading, story.now, stop)
	});
	const candidates: [NextMeasure['measure'], Observed<World>][] = [];
	for (const what of ['rim', 'arbor', 'width'] as const)
		candidates.push([what, observed(measure, { kind: 'measure', measure: what, valueMm: 0 })]);
	if (problem.source.frameDiameterMm !== undefined)
		candidates.push(['frame', observed(measure, { kind: 'measure', measure: 'frame', valueMm: 0 })]);
	const strand = problem.stack[stop]!;
	if (!isKnown(strand))
		candidates.push([
			'diameter',
			observed(diameter, {
				kind: 'diameter',
				component: stop,
				diameterMm: strand.diameterMm,
				sigmaMm: 0.015
			})
		]);
	const amount = story.now.amounts[stop];
	if (amount && !story.covered)
		candidates.push([
			'depth-now',
			observed(depth, {
				kind: 'depth',
				component: stop,
				depthMm: 0,
				turns: amount.turns,
				lost: amount.lost,
				lengthMm: amount.lengthMm
			})
		]);
	const rows = gradients(
		state,
		posterior.at,
		candidates.map(([, { predict }]) => predict)
	);
	const found = candidates.map(([what, { sigma }], k): NextMeasure => {
		const slope = rows.map((row) => row[k]!);
		const gain = varianceAlong(posterior.covariance, gapSlope, slope) ** 2;
		const left = variance - gain / (varianceAlong(posterior.covariance, slope) + sigma ** 2);
		return {
			measure: what,
			gapSigmaMm: before,
			thenGapSigmaMm: Math.hypot(Math.sqrt(Math.max(left, 0)), ruleMm),
			minutes: MINUTES[what]
		};
	});
	// The stop read in two places: only the rule's own part of the error is halved.
	const secondMm = (ruleMm * depthSigmaMm({ places: 2 }, spreads)) / depthSigmaMm({}, spreads);
	found.push({
		measure: 'second-place',
		gapSigmaMm: before,
		thenGapSigmaMm: Math.hypot(Math.sqrt(variance), secondMm),
		minutes: MINUTES['second-place']
	});
	const worth = (n: NextMeasure): number => (n.gapSigmaMm ** 2 - n.thenGapSigmaMm ** 2) / n.minutes;
	return found.filter((n) => n.thenGapSigmaMm < 0.98 * n.gapSigmaMm).sort((a, b) => worth(b) - worth(a));
}
