import { describe, expect, it } from 'vitest';
import { taperOf } from '../line/class';
import { level } from '../line/sections';
import { fitOf, STRAIGHT } from '../testing';
import type { Problem } from '../uncertainty/inputs';
import { rightLength } from './given';

const LINE = {
	role: 'line',
	layEfficiency: 0.88,
	sections: taperOf({ taper: 'WF', number: 6, density: 'F' })
} as const;
const with_ = (lengthMm: number): Problem => ({
	source: STRAIGHT,
	gapMm: 4,
	stack: [{ role: 'backing', layEfficiency: 0.9, sections: [level(lengthMm, 0.48)] }, LINE]
});

describe('a length that one owns', () => {
	const open: Problem = {
		...with_(1),
		stack: [{ role: 'backing', layEfficiency: 0.9, diameterMm: 0.48 }, LINE]
	};
	const solved = fitOf(open).solved!;
	it.each([60_000, 200_000])('%d mm: the right length, and what is left of it or missing', (ownMm) => {
		const right = rightLength(with_(ownMm), 0)!;
		expect(right.lengthMm).toBeCloseTo(solved.lengthMm, 6);
		expect(right.stopDepthMm).toBeCloseTo(solved.stopDepthMm, 9);
		expect(right.turns).toBeCloseTo(solved.turns, 6);
		expect(right.leftMm).toBeCloseTo(ownMm - solved.lengthMm, 6);
	});
	it('there is none of a strand that tapers, that is looked for, or that is not there', () => {
		expect(rightLength(with_(9), 1)).toBeUndefined();
		expect(rightLength(open, 0)).toBeUndefined();
		expect(rightLength(open, 7)).toBeUndefined();
	});
	it('nothing of it where the line alone is too much', () => {
		const narrow = { ...with_(9000), gapMm: 14 };
		expect(rightLength(narrow, 0)).toMatchObject({ lengthMm: 0, leftMm: 9000 });
	});
});
