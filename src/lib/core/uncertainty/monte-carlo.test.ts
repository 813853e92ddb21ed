import { quantileSeq, std, variance } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { knownFillSource, ratedSource, type SpoolSource } from '../calibrate/source';
import { taperOf } from '../line/class';
import { level } from '../line/sections';
import { seededRandom } from '../numeric/random';
import { quantileSorted, shareBelow, summarySorted } from '../numeric/sample';
import { fitOf, STRAIGHT } from '../testing';
import { firstOrder } from './first-order';
import type { Problem } from './inputs';
import { lengthAtRisk, simulate, simulation } from './monte-carlo';
import { DEFAULT_SPREADS, RANGE_Z } from './spreads';

const LINE = taperOf({ taper: 'WF', number: 5, density: 'F' });
const problemOn = (source: SpoolSource): Problem => ({
	source,
	gapMm: 4,
	stack: [
		{ role: 'backing', layEfficiency: 0.9, diameterMm: 0.48 },
		{ role: 'line', layEfficiency: 0.88, sections: LINE }
	]
});
const MEASURED = problemOn(STRAIGHT);
const PROFILE = problemOn({
	kind: 'profile',
	frameDiameterMm: 86,
	profile: [
		{ radiusMm: 18, widthMm: 14 },
		{ radiusMm: 24, widthMm: 22 },
		{ radiusMm: 42, widthMm: 24 }
	]
});
const FILL = { line: LINE, backingDiameterMm: 0.48, backingLengthMm: 120_000 };
const sigma = ({ low, high }: { low: number; high: number }): number => (high - low) / (2 * RANGE_Z);

describe('seeded random numbers', () => {
	it('are the same for the same seed, others for another', () => {
		const draw = (seed: number): number[] => {
			const random = seededRandom(seed);
			return Array.from({ length: 20 }, () => random.normal());
		};
		expect(draw(7)).toEqual(draw(7));
		expect(draw(7)).not.toEqual(draw(8));
	});
	it('are normal: mean, variance, and shares within 1, 2 and 3 σ (standard normal table)', () => {
		const random = seededRandom(20_261_125);
		const values = Array.from({ length: 40_000 }, () => random.normal());
		expect(Number(variance(values))).toBeCloseTo(1, 1);
		for (const [z, share] of [
			[1, 0.6827],
			[2, 0.9545],
			[3, 0.9973]
		] as const)
			expect(values.filter((v) => Math.abs(v) < z).length / values.length).toBeCloseTo(share, 2);
	});
});

describe('a sample', () => {
	const rising = [1, 2, 2, 3, 5, 8, 13, 21];
	it.each([0, 0.05, 0.37, 0.5, 0.95, 1])('has the quantile of a maths package: %d', (p) => {
		expect(quantileSorted(rising, p)).toBeCloseTo(Number(quantileSeq(rising, p, true)), 12);
	});
	it('is summed up, and its share below a limit counted', () => {
		const summary = summarySorted(rising);
		expect(summary.mean).toBeCloseTo(55 / 8, 12);
		expect(summary.sd).toBeCloseTo(Number(std(rising)), 12);
		expect(summary.p50).toBe(4);
		expect(shareBelow(rising, 3)).toBe(3 / 8);
		expect(shareBelow(rising, 0)).toBe(0);
		expect(shareBelow(rising, 99)).toBe(1);
	});
	it('of nothing has no quantile', () => expect(() => quantileSorted([], 0.5)).toThrow(RangeError));
});

const CASES: [string, Problem][] = [
	['measured', MEASURED],
	['by profile, in a frame', PROFILE],
	[
		'rated, rim and width measured',
		problemOn(ratedSource({ ratings: [FILL], makersAllowance: 0.1, rimDiameterMm: 84, widthMm: 21 }))
	],
	['known by its fill', problemOn(knownFillSource({ fill: FILL, gapMm: 5, rimDiameterMm: 84, widthMm: 21 }))]
];
describe.each(CASES)('a simulation of a spool %s', (_, problem) => {
	const fit = fitOf(problem);
	const estimate = firstOrder(problem, fit);
	const byLength = simulate(problem, fit, { trials: 12_000, seed: 4 });
	const byDepth = simulate(problem, fit, { trials: 12_000, seed: 5, stopBy: 'depth' });

	it('agrees with the first order within 5 % where the model is nearly linear', () => {
		expect(Math.abs(byLength.gapMm.sd / sigma(estimate.ranges.gapByLengthMm) - 1)).toBeLessThan(0.05);
		expect(Math.abs(byDepth.gapMm.sd / sigma(estimate.ranges.gapMm) - 1)).toBeLessThan(0.05);
		expect(Math.abs(byLength.lengthMm!.sd / sigma(estimate.ranges.lengthMm) - 1)).toBeLessThan(0.05);
	});
	it('finds the same inputs to blame', () => {
		const first = estimate.gapShares.map(({ share }) => share);
		const label = ({ key, component }: { key: string; component?: number }): string =>
			`${key} ${component ?? ''}`;
		for (const [i, share] of estimate.gapShares.entries()) {
			const same = byDepth.shares.find((s) => label(s) === label(share));
			expect(same?.share ?? 0).toBeCloseTo(first[i]!, 1);
		}
		expect(byLength.shares.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
	});
	it('by depth is surer than by length', () => {
		if (problem.source.kind !== 'rated') expect(byDepth.gapMm.sd).toBeLessThan(byLength.gapMm.sd);
	});
});

describe('a simulation', () => {
	it('repeats itself exactly for a seed', () => {
		const run = (seed: number) => simulate(MEASURED, fitOf(MEASURED), { trials: 500, seed }).gapMm;
		expect(run(3)).toEqual(run(3));
		expect(run(3)).not.toEqual(run(4));
	});

	it('the length at a risk rubs that often', () => {
		const tight = { ...MEASURED, gapMm: 1 };
		const lengthMm = lengthAtRisk(simulate(tight, fitOf(tight), { trials: 8000, seed: 1 }), 0.1);
		const wound: Problem = {
			...tight,
			stack: [{ role: 'backing', layEfficiency: 0.9, sections: [level(lengthMm, 0.48)] }, tight.stack[1]!]
		};
		// A known length carries its diameter's doubt as bulk: d² doubles the share.
		const spreads = { ...DEFAULT_SPREADS };
		const asBulk = simulate(wound, fitOf(wound), { trials: 8000, seed: 2, spreads });
		const open = simulate(tight, fitOf(tight), {
			trials: 8000,
			seed: 2,
			spreads: { ...spreads, diameterShare: spreads.bulkShare / 2 }
		});
		expect(shareBelow(open.lengthsToRubMm, lengthMm)).toBeCloseTo(asBulk.rubProbability, 1);
	});

	it('no spread at all leaves no uncertainty', () => {
		const none = Object.fromEntries(Object.keys(DEFAULT_SPREADS).map((key) => [key, 0]));
		const sure = simulate(MEASURED, fitOf(MEASURED), {
			trials: 100,
			seed: 1,
			spreads: { ...DEFAULT_SPREADS, ...none }
		});
		expect(sure.gapMm.p05).toBeCloseTo(4, 9);
		expect(sure.gapMm.sd).toBeCloseTo(0, 9);
		expect(sure.rubProbability).toBe(0);
	});

	it('can be looked at and left between batches', () => {
		const running = simulation(MEASURED, fitOf(MEASURED), { trials: 5000, seed: 1 });
		expect(running.next()).toEqual({ done: false, value: 1000 });
		expect(running.next()).toEqual({ done: false, value: 2000 });
		expect(running.return(undefined as never).done).toBe(true);
	});

	it('of a stack with nothing open has a gap and no length', () => {
		const known = { ...MEASURED, stack: [MEASURED.stack[1]!] };
		const simulated = simulate(known, fitOf(known), { trials: 400, seed: 1 });
		expect(simulated.lengthMm).toBeUndefined();
		expect(simulated.gapMm.mean).toBeCloseTo(fitOf(known).gapMm, 0);
	});
});
