import { describe, expect, it } from 'vitest';
import { stripedLine } from './ribbon';

const points = (path: string) =>
	path
		.split(/[ML]/)
		.filter(Boolean)
		.map((pair) => pair.split(' ').map(Number) as [number, number]);

describe('a striped line', () => {
	it.each([0.5, 1, 2.4, 7])('shows %d turns a metre: the stripe comes round so often', (perMetre) => {
		const { stripes, turns } = stripedLine(perMetre, 2, 600, 20);
		expect(turns).toBeCloseTo(2 * perMetre, 12);
		// Where it crosses the middle in front, once a turn, a turn apart.
		const middles = stripes
			.map((path) => points(path))
			.filter((path) => path.some(([, y]) => Math.abs(y - 10) < 3));
		expect(Math.abs(middles.length - turns)).toBeLessThanOrEqual(1);
		for (const [x, y] of stripes.flatMap(points)) {
			expect(x).toBeGreaterThanOrEqual(0);
			expect(x).toBeLessThanOrEqual(600);
			expect(y).toBeGreaterThanOrEqual(0);
			expect(y).toBeLessThanOrEqual(20);
		}
	});
	it('runs down to the right for a right-handed screw, up for a left-handed one', () => {
		const slope = (perMetre: number): number => {
			const whole = points(stripedLine(perMetre, 1, 600, 20).stripes[1]!);
			return whole.at(-1)![1] - whole[0]![1];
		};
		expect(slope(3)).toBeGreaterThan(0);
		expect(slope(-3)).toBeLessThan(0);
	});
	it('without twist is one straight stripe', () => {
		expect(stripedLine(0, 1, 600, 20)).toEqual({ stripes: ['M0 10L600 10'], turns: 0 });
	});
});
