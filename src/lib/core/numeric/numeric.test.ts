import { describe, expect, it } from 'vitest';
import { integrate } from './quadrature';
import { findRoot } from './root';

describe('findRoot', () => {
	it.each([
		['√2', (x: number) => x * x - 2, 0, 2, Math.SQRT2],
		['π', Math.sin, 3, 4, Math.PI],
		['a steep one', (x: number) => Math.exp(x) - 1000, 0, 50, Math.log(1000)],
		['a flat one', (x: number) => (x - 1) ** 3, 0, 3, 1]
	])('finds %s', (_, f, low, high, root) => {
		expect(findRoot(f, low, high)).toBeCloseTo(root, 6);
	});
	it('takes an end that is the root', () => {
		expect(findRoot((x) => x, 0, 1)).toBe(0);
		expect(findRoot((x) => x - 1, 0, 1)).toBe(1);
	});
	it('refuses a bracket without a root, naming its ends', () => {
		expect(() => findRoot((x) => x * x + 1, -1, 1)).toThrow(RangeError);
	});
});

describe('integrate', () => {
	it('is exact for polynomials up to degree 9 (Abramowitz & Stegun 25.4, n = 5)', () => {
		for (let n = 0; n <= 9; n++)
			expect(integrate((x) => x ** n, 0, 2)).toBeCloseTo(2 ** (n + 1) / (n + 1), 9);
	});
	it('is close for a smooth function', () => {
		expect(integrate(Math.exp, 0, 1)).toBeCloseTo(Math.E - 1, 11);
	});
});
