import { describe, expect, it } from 'vitest';
import { choleskyOf, solveCholesky } from './cholesky';
import { seededRandom } from './random';
import { patternOf } from './sparse';

/** A matrix I + Σ vvᵀ over random blocks of unknowns, dense and as the values of its pattern. */
function example(seed: number, count: number, blocksOf: number) {
	const random = seededRandom(seed);
	const blocks = Array.from({ length: blocksOf }, () => {
		const some = Array.from({ length: count }, (_, i) => i).filter(() => random.uniform() < 0.3);
		return Int32Array.from(some.length > 0 ? some : [0]);
	});
	const pattern = patternOf(count, blocks);
	const dense = Array.from({ length: count }, (_, i) =>
		Array.from({ length: count }, (_, j) => (i === j ? 1 : 0))
	);
	const values = new Float64Array(pattern.size);
	for (const at of pattern.diagonal) values[at] = 1;
	blocks.forEach((block, k) => {
		const along = Array.from(block, () => random.normal());
		let next = 0;
		block.forEach((i, a) => {
			block.forEach((j, b) => (dense[i]![j]! += along[a]! * along[b]!));
			for (let b = a; b < block.length; b++) values[pattern.blocks[k]![next++]!]! += along[a]! * along[b]!;
		});
	});
	const right = Array.from({ length: count }, () => random.normal());
	return { pattern, dense, values, right };
}

describe('a sparse factor', () => {
	it.each([1, 2, 3, 4, 5])('solves what the dense one solves, seed %i', (seed) => {
		const { pattern, dense, values, right } = example(seed, 4 + 5 * seed, 3 * seed);
		const solved = pattern.factor(values).solve(right);
		const expected = solveCholesky(choleskyOf(dense), right);
		expected.forEach((value, i) => expect(solved[i]).toBeCloseTo(value, 9));
	});
	it('of unknowns that stand beside no other divides by the diagonal', () => {
		const pattern = patternOf(3, []);
		expect(pattern.size).toBe(3);
		expect([...pattern.factor(Float64Array.of(2, 4, 8)).solve([2, 2, 2])]).toEqual([1, 0.5, 0.25]);
	});
	it('refuses a matrix that is not positive definite, naming the unknown', () => {
		const pattern = patternOf(2, [Int32Array.of(0, 1)]);
		const values = new Float64Array(pattern.size);
		values[pattern.diagonal[0]!] = 1;
		values[pattern.diagonal[1]!] = 1;
		values[pattern.blocks[0]![1]!] = 2;
		expect(() => pattern.factor(values)).toThrow(/unknown 1/);
	});
});
