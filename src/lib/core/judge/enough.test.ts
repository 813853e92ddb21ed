import { describe, expect, it } from 'vitest';
import { castLengthMm } from '../fit/cast';
import { isKnown } from '../fit/stack';
import { taperOf } from '../line/class';
import { cutFromRear, fitOf, STRAIGHT } from '../testing';
import type { Problem } from '../uncertainty/inputs';
import { toMm } from '../units/units';
import { moreBacking } from './enough';
import { cutFor, RETAIL_YARDS } from './shopping';

const problem = (number: number, gapMm = 4): Problem => ({
	source: STRAIGHT,
	gapMm,
	stack: [
		{ role: 'backing', layEfficiency: 0.9, diameterMm: 0.48 },
		{ role: 'line', layEfficiency: 0.88, sections: taperOf({ taper: 'WF', number, density: 'F' }) }
	]
});
const length = (p: Problem): number => fitOf(p).solved!.lengthMm;

describe('ways to enough backing', () => {
	it.each([6, 8, 12])('each, carried out, brings what is wanted: under a #%d', (number) => {
		const tight = problem(number);
		const least = (fitOf(tight).fits ? length(tight) : 0) + toMm(12, 'yd');
		const ways = moreBacking(tight, fitOf(tight), least);
		expect(ways.length).toBeGreaterThan(0);
		for (const way of ways) {
			const [backing, line] = tight.stack;
			if (!line || !isKnown(line)) throw new Error('no line');
			const then: Problem =
				way.kind === 'thinner-backing'
					? { ...tight, stack: [{ ...backing!, diameterMm: way.material.diameterMm } as never, line] }
					: way.kind === 'smaller-gap'
						? { ...tight, gapMm: way.gapMm }
						: { ...tight, stack: [backing!, { ...line, sections: cutFromRear(line.sections, way.cutMm) }] };
			expect(length(then)).toBeGreaterThan(least * 0.999);
		}
	});
	it('takes the thickest backing that is thin enough', () => {
		const least = length(problem(6)) * 1.2;
		const thinner = moreBacking(problem(6), fitOf(problem(6)), least).find(
			(w) => w.kind === 'thinner-backing'
		);
		expect(thinner?.kind === 'thinner-backing' && thinner.material.slug).toBe('gel-spun-65');
	});
	it('are none when there is enough, and none that asks for half the line', () => {
		expect(moreBacking(problem(6), fitOf(problem(6)), toMm(50, 'yd'))).toEqual([]);
		const far = moreBacking(problem(6), fitOf(problem(6)), toMm(900, 'yd'));
		expect(far).toEqual([]);
	});
});

describe('what to buy and cut', () => {
	it('adds the knots and takes the next size sold', () => {
		const cut = cutFor(toMm(95, 'yd'), toMm(42, 'in'));
		expect(cut.cutMm).toBeCloseTo(toMm(95, 'yd') + toMm(42, 'in'), 9);
		expect(cut.buyMm).toEqual([toMm(100, 'yd')]);
		expect(cut.leftoverMm).toBeCloseTo(toMm(100, 'yd') - cut.cutMm, 9);
	});
	it('joins spools when one is not enough, and buys nothing for nothing', () => {
		const most = RETAIL_YARDS.at(-1)!;
		expect(cutFor(toMm(most + 30, 'yd'), 0).buyMm).toEqual([toMm(most, 'yd'), toMm(50, 'yd')]);
		expect(cutFor(0, 457.2)).toEqual({
			cutMm: 0,
			knotsMm: 457.2,
			buyMm: [],
			leftoverMm: 0
		});
	});
});

it('a cast is leader, head and tip, and the colours counted', () => {
	expect(
		castLengthMm({ frontMm: toMm(38, 'ft'), leaderMm: toMm(12, 'ft'), bandMm: toMm(10, 'ft'), bands: 4.5 })
	).toBeCloseTo(toMm(95, 'ft'), 9);
});
