import { describe, expect, it } from 'vitest';
import { seededRandom } from '../numeric/random';
import { gradients, posterior, updated, varianceAlong, type Observed, type Space } from './posterior';

type Point = readonly [number, number];

/** Two deviations that a world is bent from: a product and a square, as radii and turns are. */
const SPACE: Space<Point> = { count: 2, worldAt: ([a, b]) => [1 + 0.1 * a!, 2 + 0.2 * b!] };
const product: Observed<Point> = { value: 2.3, sigma: 0.1, predict: ([a, b]) => a * b };
const square: Observed<Point> = { value: 1.25, sigma: 0.15, predict: ([a]) => a * a };

const density = (observed: readonly Observed<Point>[], a: number, b: number): number => {
	const world = SPACE.worldAt([a, b])!;
	return observed.reduce(
		(p, { value, sigma, predict }) => p * Math.exp(-(((value - predict(world)) / sigma) ** 2) / 2),
		Math.exp(-(a * a + b * b) / 2)
	);
};

/** Means and covariance from points with weights. */
function moments(points: Iterable<readonly [a: number, b: number, weight: number]>) {
	let [w, ma, mb, aa, ab, bb] = [0, 0, 0, 0, 0, 0];
	for (const [a, b, weight] of points) {
		w += weight;
		ma += weight * a;
		mb += weight * b;
		aa += weight * a * a;
		ab += weight * a * b;
		bb += weight * b * b;
	}
	const [a, b] = [ma / w, mb / w];
	return { mean: [a, b], covariance: [[aa / w - a * a, ab / w - a * b], [ab / w - a * b, bb / w - b * b]] }; // prettier-ignore
}

function* grid(observed: readonly Observed<Point>[]): Generator<readonly [number, number, number]> {
	for (let a = -5; a <= 5; a += 0.02)
		for (let b = -5; b <= 5; b += 0.02) yield [a, b, density(observed, a, b)];
}

/** Points drawn around the posterior, twice as wide, each weighed by how much likelier it is than it was drawn. */
function* drawn(
	observed: readonly Observed<Point>[],
	count: number
): Generator<readonly [number, number, number]> {
	const { at, covariance } = posterior(SPACE, observed);
	const random = seededRandom(20_261_127);
	const wide = 2;
	const l00 = wide * Math.sqrt(covariance[0]![0]!);
	const l10 = (wide * wide * covariance[0]![1]!) / l00;
	const l11 = Math.sqrt(wide * wide * covariance[1]![1]! - l10 * l10);
	for (let i = 0; i < count; i++) {
		const [u, v] = [random.normal(), random.normal()];
		const [a, b] = [at[0]! + l00 * u, at[1]! + l10 * u + l11 * v];
		yield [a, b, density(observed, a, b) * Math.exp((u * u + v * v) / 2)];
	}
}

describe('the posterior', () => {
	it.each([
		['a grid integration in two dimensions', () => moments(grid([product, square]))],
		['a Monte Carlo with importance weights', () => moments(drawn([product, square], 200_000))]
	])('agrees with %s', (_, reference) => {
		const { at, covariance, converged } = posterior(SPACE, [product, square]);
		const { mean, covariance: wanted } = reference();
		expect(converged).toBe(true);
		// A bent model: the most plausible point is not quite the mean.
		for (const i of [0, 1]) expect(Math.abs(at[i]! - mean[i]!)).toBeLessThan(0.05);
		for (const i of [0, 1])
			for (const j of [0, 1]) expect(Math.abs(covariance[i]![j]! - wanted[i]![j]!)).toBeLessThan(0.04);
	});

	it('rests where the slope of the cost is nothing, by finite differences', () => {
		const { at } = posterior(SPACE, [product, square]);
		const cost = (x: readonly number[]): number => -Math.log(density([product, square], x[0]!, x[1]!));
		for (const i of [0, 1]) {
			const slope = (cost(at.with(i, at[i]! + 1e-4)) - cost(at.with(i, at[i]! - 1e-4))) / 2e-4;
			expect(Math.abs(slope)).toBeLessThan(1e-3);
		}
	});

	it('has the gradients of finite differences', () => {
		const rows = gradients(SPACE, [0.4, -0.3], [product.predict, square.predict]);
		const [a, b] = SPACE.worldAt([0.4, -0.3])!;
		expect(rows[0]![0]).toBeCloseTo(0.1 * b, 4);
		expect(rows[1]![0]).toBeCloseTo(0.2 * a, 4);
		expect(rows[0]![1]).toBeCloseTo(0.2 * a, 4);
		expect(rows[1]![1]).toBeCloseTo(0, 9);
	});

	it('one by one comes near to all at once', () => {
		const one = [product, square].reduce((before, o) => updated(SPACE, before, o), posterior(SPACE, []));
		const all = posterior(SPACE, [product, square]);
		for (const i of [0, 1]) expect(one.at[i]!).toBeCloseTo(all.at[i]!, 1);
		expect(varianceAlong(one.covariance, [1, 1]) / varianceAlong(all.covariance, [1, 1])).toBeCloseTo(1, 1);
	});

	it('a reading that may be a slip does not drag the rest when it is wild, and counts when it is not', () => {
		const wild = { ...product, value: 6, slipWithin: 5 };
		expect(Math.abs(posterior(SPACE, [wild]).at[0]!)).toBeLessThan(0.05);
		const near = posterior(SPACE, [{ ...product, slipWithin: 5 }]).at[0]!;
		expect(near / posterior(SPACE, [product]).at[0]!).toBeCloseTo(1, 1);
	});

	it('keeps to where there is a world, and begins only there', () => {
		const half: Space<Point> = { count: 2, worldAt: (x) => (x[0]! > 0.5 ? undefined : SPACE.worldAt(x)) };
		expect(posterior(half, [{ ...square, value: 2 }]).at[0]).toBeLessThanOrEqual(0.5);
		expect(() => posterior(half, [square], [1, 0])).toThrow(RangeError);
		expect(() => gradients(half, [1, 0], [])).toThrow(RangeError);
		// At the edge a difference to the other side does.
		const edge: Space<Point> = { count: 2, worldAt: (x) => (x[0]! > 0 ? undefined : SPACE.worldAt(x)) };
		expect(gradients(edge, [0, 0], [square.predict])[0]![0]).toBeCloseTo(0.2, 4);
	});
});
