import { describe, expect, it } from 'vitest';
import { taperOf } from '../line/class';
import { totalVolumeMm3 } from '../line/sections';
import { seededRandom } from '../numeric/random';
import { fitOf, value } from '../testing';
import { firstOrder } from '../uncertainty/first-order';
import type { Problem } from '../uncertainty/inputs';
import { ratedSpread } from './ratings';
import { knownFillSource, ratedSource, spoolOf } from './source';

const FIVE = taperOf({ taper: 'WF', number: 5, density: 'F' });
const SIX = taperOf({ taper: 'WF', number: 6, density: 'F' });
const BACKING = { role: 'backing', layEfficiency: 0.9, diameterMm: 0.48 } as const;

/** A #5 is on over this much backing, mm; a #6 will take its place. */
const BEFORE_MM = 140_000;
const problemAt = (rimDiameterMm: number, widthMm: number, gapMm: number): Problem => ({
	source: knownFillSource({
		fill: { line: FIVE, backingDiameterMm: 0.48, backingLengthMm: BEFORE_MM },
		gapMm,
		rimDiameterMm,
		widthMm
	}),
	gapMm: 4,
	stack: [BACKING, { role: 'line', layEfficiency: 0.88, sections: SIX }]
});

describe('a spool known by what one wound on it', () => {
	it('has ranges that hold 9 times out of 10, over true reels of a simulation of its own', () => {
		let [held, count] = [0, 0];
		for (let seed = 1; seed <= 1500; seed++) {
			const { normal: n } = seededRandom(seed);
			const [rim, width] = [84 + 0.4 * n(), 21 + 0.4 * n()];
			const arbor = 38 + 2 * n();
			const [winder, braid, line] = [n(), n(), n()];
			const lay = (family: number): number =>
				Math.exp(0.06 * (Math.SQRT1_2 * winder + 0.5 * family + 0.5 * n()));
			const turn = (0.48 * (1 + 0.05 * n())) ** 2 / (0.9 * lay(braid));
			const own = lay(line);
			const space = (volume: number): number => ((4 / Math.PI) * volume * (1 + 0.05 * n())) / (0.88 * own);
			const [before, after] = [space(totalVolumeMm3(FIVE)), space(totalVolumeMm3(SIX))];
			const gapWith = (filled: number): number =>
				rim / 2 - Math.sqrt(filled / (Math.PI * width) + (arbor / 2) ** 2);
			const seen = gapWith(BEFORE_MM * turn + before) + 0.3 * n();
			if (!(seen > 0)) continue;
			const problem = problemAt(84, 21, seen);
			if (!spoolOf(problem.source).ok) continue;
			const fit = fitOf(problem);
			if (!fit.fits || !fit.solved) continue;
			const { low, high } = firstOrder(problem, fit).ranges.gapByLengthMm;
			const gap = gapWith(fit.solved.lengthMm * turn + after);
			count++;
			if (gap >= low && gap <= high) held++;
		}
		expect(count).toBeGreaterThan(1200);
		expect(held / count).toBeGreaterThan(0.86);
		expect(held / count).toBeLessThan(0.95);
	});
	it('of another backing says less about the new one', () => {
		const same = problemAt(84, 21, 5);
		const other = { ...same, stack: [{ ...BACKING, diameterMm: 0.36 }, same.stack[1]!] };
		const span = (problem: Problem): number => {
			const { low, high } = firstOrder(problem, fitOf(problem)).ranges.gapByLengthMm;
			return high - low;
		};
		expect(span(same)).toBeLessThan(0.85 * span(other));
	});
});

describe("a maker's figures", () => {
	const figure = (backingLengthMm: number) => ({ line: SIX, backingDiameterMm: 0.48, backingLengthMm });
	it('one is off by a tenth; more of the same maker help little', () => {
		expect(ratedSpread(1)).toBeCloseTo(0.1, 9);
		expect(ratedSpread(4)).toBeGreaterThan(0.08);
		expect(ratedSource({ ratings: [figure(9e4), figure(9e4)], makersAllowance: 0 }).bulkSpread).toBeLessThan(
			0.1
		);
	});
	it.each([
		['an arbor that leaves no room', { rimDiameterMm: 120, widthMm: 30 }, 20_000],
		['a spool as wide as it is high', { rimDiameterMm: 46 }, 200_000],
		['a spool as thin as a coin', { rimDiameterMm: 200 }, 20_000]
	])('with measures that make it %s are refused', (_, measures, lengthMm) => {
		const source = ratedSource({ ratings: [figure(lengthMm)], makersAllowance: 0.1, ...measures });
		expect(spoolOf(source)).toMatchObject({ ok: false, issues: [{ code: 'rating_contradicts_measures' }] });
	});
	it('with measures that go with them are taken', () => {
		const source = ratedSource({
			ratings: [figure(90_000)],
			makersAllowance: 0.1,
			rimDiameterMm: 84,
			widthMm: 21
		});
		expect(value(spoolOf(source)).estimated).toEqual(['arbor']);
	});
});
