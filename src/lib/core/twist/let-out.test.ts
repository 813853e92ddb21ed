import { describe, expect, it } from 'vitest';
import { REACH_MM, stretchAndWalk, untwistTechniques, type LetOutSituation } from './let-out';

const HERE: LetOutSituation = { lengthMm: 27_000, laneMm: 40_000, has: [], weakestLb: 20, turns: 40 };

describe('getting twist out', () => {
	it('is a walk where there is room for the whole line and a place to stand', () => {
		const walk = stretchAndWalk(HERE);
		expect(walk).toMatchObject({ passes: 1, laneMm: 27_000 + REACH_MM });
		expect(walk.minutes).toBeGreaterThanOrEqual(5);
		expect(walk.minutes).toBeLessThanOrEqual(10);
		expect(walk.cautions).toContain('stretch');
		expect(untwistTechniques(HERE)[0]!.key).toBe('stretch-and-walk');
	});
	it.each([
		[30_999, 2],
		[31_000, 1],
		[17_500, 2],
		[17_499, 3],
		[13_000, 3],
		[12_999, undefined],
		[Infinity, 1]
	])('a lane of %i mm: %s passes', (laneMm, passes) => {
		const walk = stretchAndWalk({ ...HERE, laneMm });
		expect(walk.passes).toBe(passes);
		expect(walk.lacks === undefined).toBe(passes !== undefined);
		if (passes) expect(walk.laneMm!).toBeLessThanOrEqual(laneMm);
	});
	it('takes longer in parts, and lets out less', () => {
		const [one, two] = [stretchAndWalk(HERE), stretchAndWalk({ ...HERE, laneMm: 20_000 })];
		expect(two.minutes).toBeGreaterThan(one.minutes);
		expect(two.share).toBeLessThan(one.share);
	});
	it('pulls with a safe share of the weakest part, never hard', () => {
		expect(stretchAndWalk({ ...HERE, weakestLb: 6 }).pullLb).toBeCloseTo(1.2, 12);
		expect(stretchAndWalk({ ...HERE, weakestLb: 80 }).pullLb).toBe(4);
	});
	it('with no lane, what there is: water, a height, a swivel, or the bight in the hand', () => {
		const keys = (given: Partial<LetOutSituation>) =>
			untwistTechniques({ ...HERE, laneMm: 0, ...given }).flatMap(({ key, lacks }) => (lacks ? [] : [key]));
		expect(keys({})).toEqual(['spin-bight']);
		expect(keys({ has: ['current'] })[0]).toBe('current');
		expect(keys({ has: ['height'], heightMm: 12_000 })).toContain('height');
		expect(keys({ has: ['height'] })).not.toContain('height');
		expect(keys({ has: ['swivel'] })).toContain('swivel');
		for (const way of untwistTechniques({ ...HERE, laneMm: 0 })) expect(way.steps.length).toBeGreaterThan(1);
	});
});
