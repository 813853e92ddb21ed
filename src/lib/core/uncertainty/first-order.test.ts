import { describe, expect, it } from 'vitest';
import { ratedSource, type SpoolSource } from '../calibrate/source';
import { taperOf } from '../line/class';
import { fitOf, STRAIGHT } from '../testing';
import { firstOrder } from './first-order';
import type { Problem } from './inputs';
import { DEFAULT_SPREADS } from './spreads';

const problemOn = (source: SpoolSource): Problem => ({
	source,
	gapMm: 4,
	stack: [
		{ role: 'backing', layEfficiency: 0.9, diameterMm: 0.48 },
		{ role: 'line', layEfficiency: 0.88, sections: taperOf({ taper: 'WF', number: 5, density: 'F' }) }
	]
});
const MEASURED = problemOn(STRAIGHT);
describe('first-order ranges', () => {
	const estimate = firstOrder(MEASURED, fitOf(MEASURED));

	it('hold the answers, and are as wide as practice has them', () => {
		const { solved, gapMm } = fitOf(MEASURED);
		const { lengthMm, stopDepthMm, turns, gapMm: gap } = estimate.ranges;
		for (const [value, { low, high }] of [
			[solved!.lengthMm, lengthMm],
			[solved!.stopDepthMm, stopDepthMm],
			[solved!.turns, turns],
			[gapMm, gap]
		] as const) {
			expect(value).toBeGreaterThan(low);
			expect(value).toBeLessThan(high);
		}
	});

	it('the stop depth needs neither the backing nor the arbor', () => {
		const thin = { ...MEASURED, stack: [{ ...MEASURED.stack[0]!, diameterMm: 0.28 }, MEASURED.stack[1]!] };
		expect(fitOf(thin).solved!.stopDepthMm).toBeCloseTo(fitOf(MEASURED).solved!.stopDepthMm, 9);
		const sources = estimate.gapShares.filter(({ share }) => share > 1e-9).map(({ key }) => key);
		expect(sources).not.toContain('diameter');
		expect(sources).not.toContain('arbor');
	});

	it('shares add up to one, largest first', () => {
		for (const shares of [estimate.gapShares, estimate.lengthShares]) {
			expect(shares.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
			expect(shares.map(({ share }) => share)).toEqual(
				shares.map(({ share }) => share).sort((a, b) => b - a)
			);
		}
	});

	it('narrow when a measure gets better', () => {
		const better = firstOrder(MEASURED, fitOf(MEASURED), { ...DEFAULT_SPREADS, widthMm: 0.1 });
		const span = ({ low, high }: { low: number; high: number }): number => high - low;
		expect(span(better.ranges.lengthMm)).toBeLessThan(span(estimate.ranges.lengthMm));
	});
});

describe('ranges of a spool known from its box', () => {
	const box = {
		ratings: [
			{
				line: taperOf({ taper: 'WF', number: 6, density: 'F' }),
				backingDiameterMm: 0.48,
				backingLengthMm: 91_440
			}
		],
		makersAllowance: 0.1
	};
	it('are wider for the depth when nothing is measured than when rim and width are', () => {
		const width = (problem: Problem): number => {
			const { low, high } = firstOrder(problem, fitOf(problem)).ranges.stopDepthMm;
			return high - low;
		};
		expect(width(problemOn(ratedSource(box)))).toBeGreaterThan(
			1.3 * width(problemOn(ratedSource({ ...box, rimDiameterMm: 84, widthMm: 21 })))
		);
	});
	it('never run below no length at all', () => {
		const tight = problemOn({ kind: 'measured', rimDiameterMm: 66, arborDiameterMm: 38, widthMm: 19 });
		expect(firstOrder(tight, fitOf(tight)).ranges.lengthMm.low).toBeGreaterThanOrEqual(0);
	});
});
