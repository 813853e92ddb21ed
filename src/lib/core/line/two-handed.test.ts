import { describe, expect, it } from 'vitest';
import { STANDARD_GRAINS } from './class';
import { TWO_HANDED } from './two-handed';

describe('two-handed weights (the two-handed line standard, from memory)', () => {
	const kinds = Object.values(TWO_HANDED);
	it('rise with the class, and from the shooting head to the long belly', () => {
		for (const { grains } of kinds) {
			const rising = Object.values(grains);
			expect(rising).toEqual(rising.toSorted((a, b) => a - b));
		}
		for (const number of [6, 7, 8, 9, 10, 11] as const) {
			const across = kinds.map(({ grains }) => grains[number]);
			expect(new Set(across).size).toBe(4);
			expect(across).toEqual(across.toSorted((a, b) => a - b));
		}
	});
	it('are nowhere the single-hand ones: some one and a half times as much, and up to three times', () => {
		for (const { grains } of kinds)
			for (const [number, weight] of Object.entries(grains)) {
				const single = STANDARD_GRAINS[Number(number) - 1]!;
				expect(weight / single).toBeGreaterThan(1.5);
				expect(weight / single).toBeLessThan(3.5);
			}
	});
	it('an 8 is roughly 360, 530, 570 and more (common practice)', () => {
		expect(kinds.map(({ grains }) => grains[8]).slice(0, 3)).toEqual([360, 530, 570]);
	});
});
