import { inv, lusolve } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { choleskyOf, inverseOf, solveCholesky } from './cholesky';
import { seededRandom } from './random';

/** AᵀA + I of a random A. */
function positive(size: number, seed: number): number[][] {
	const random = seededRandom(seed);
	const a = Array.from({ length: size }, () => Array.from({ length: size }, () => random.normal()));
	return a.map((_, i) => a.map((_, j) => a.reduce((sum, row) => sum + row[i]! * row[j]!, i === j ? 1 : 0)));
}

describe('a positive definite matrix', () => {
	it.each([1, 2, 5, 17])('of size %d has the inverse and the solutions of a maths package', (size) => {
		const matrix = positive(size, size);
		const b = Array.from({ length: size }, (_, i) => Math.sin(i + 1));
		const inverse = inv(matrix);
		const solution = lusolve(matrix, b) as number[][];
		inverseOf(matrix).forEach((row, i) =>
			row.forEach((entry, j) => expect(entry).toBeCloseTo(inverse[i]![j]!, 9))
		);
		solveCholesky(choleskyOf(matrix), b).forEach((x, i) => expect(x).toBeCloseTo(solution[i]![0]!, 9));
	});
	it('is told from one that is not', () => {
		expect(() => choleskyOf([[1, 2], [2, 1]])).toThrow(RangeError); // prettier-ignore
		expect(() => choleskyOf([[NaN]])).toThrow(RangeError);
	});
	it('is allowed its rounding: two readings of the same thing, one a thousand million times as sharp', () => {
		const [a, b] = [1, 1 + 1e-9];
		const nearly = [[a * a * 1e18, a * b * 1e18], [a * b * 1e18, b * b * 1e18]]; // prettier-ignore
		const lower = choleskyOf(nearly);
		expect(lower[0]![0]! ** 2 / nearly[0]![0]!).toBeCloseTo(1, 9);
		expect(lower.flat().every(Number.isFinite)).toBe(true);
	});
});
