import { knotOf, segmentDistance } from './checks';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { crossingsOf, type Curve } from './crossings';
import { smooth, type Vec3 } from './curve';
import { closedAbove, gaussCode, linkingNumber, straightened } from './invariants';

const N = 400;
const closed = (at: (t: number) => Vec3, n = N): Curve => ({
	closed: true,
	points: Array.from({ length: n }, (_, i) => at((2 * Math.PI * (i + 0.137)) / n))
});
/** The torus knot that goes round twice and through n times. */
const torus = (n: number): Curve =>
	closed((t) => {
		const r = 3 + Math.cos(n * t);
		return [r * Math.cos(2 * t), r * Math.sin(2 * t), Math.sin(n * t)];
	});
const figureEight = closed((t) => {
	const r = 2 + Math.cos(2 * t);
	return [r * Math.cos(3 * t), r * Math.sin(3 * t), Math.sin(4 * t)];
});
const lissajous = (nx: number, ny: number, nz: number, px: number, py: number): Curve =>
	closed((t) => [Math.cos(nx * t + px), Math.cos(ny * t + py), Math.cos(nz * t)]);

/** Rolfsen's table, Knots and Links, 1976, as KnotInfo gives the invariants; from memory. */
const TABLE: readonly [name: string, curve: Curve, alexander: number[], determinant: number][] = [
	['0_1', closed((t) => [Math.cos(t), Math.sin(t), 0]), [1], 1],
	['3_1 = T(2,3)', torus(3), [1, -1, 1], 3],
	['4_1', figureEight, [1, -3, 1], 5],
	['5_1 = T(2,5)', torus(5), [1, -1, 1, -1, 1], 5],
	['5_2', lissajous(3, 2, 7, 0.7, 0.2), [2, -3, 2], 7],
	['6_1', lissajous(3, 2, 5, 1.5, 0.2), [2, -5, 2], 9],
	['7_1 = T(2,7)', torus(7), [1, -1, 1, -1, 1, -1, 1], 7]
];

describe("invariants against Rolfsen's table (KnotInfo's values, from memory)", () => {
	it.each(TABLE)('%s', (_, curve, alexander, determinant) => {
		expect(knotOf(curve)).toMatchObject({ alexander, determinant });
	});
	it.each([9, 11, 15])('T(2,%i): determinant n, alternating ones (Rolfsen)', (n) => {
		const { alexander, determinant } = knotOf(torus(n));
		expect(determinant).toBe(n);
		expect(alexander).toEqual(Array.from({ length: n }, (_, i) => (i % 2 === 0 ? 1 : -1)));
	});
	it('the Hopf link links once, T(2,4) twice; turned round, the sign turns', () => {
		const ring = (x: number, flat: boolean, way: 1 | -1 = 1): Curve =>
			closed((t) =>
				flat
					? [x + Math.cos(t), Math.sin(way * t), 0.1 * Math.sin(t)]
					: [x + Math.cos(t), 0.3 * Math.cos(t), Math.sin(way * t)]
			);
		const hopf = crossingsOf([ring(0, true), ring(1, false)]);
		expect(Math.abs(linkingNumber(hopf, 0, 1))).toBe(1);
		expect(linkingNumber(crossingsOf([ring(0, true), ring(1, false, -1)]), 0, 1)).toBe(
			-linkingNumber(hopf, 0, 1)
		);
		const twisted = (phase: number): Curve =>
			closed((t) => [
				(3 + Math.cos(2 * t + phase)) * Math.cos(t),
				(3 + Math.cos(2 * t + phase)) * Math.sin(t),
				Math.sin(2 * t + phase)
			]);
		expect(Math.abs(linkingNumber(crossingsOf([twisted(0), twisted(Math.PI)]), 0, 1))).toBe(2);
	});
});

const mirrored = ({ points, closed: shut }: Curve): Curve => ({
	closed: shut,
	points: points.map(([x, y, z]) => [x, y, -z])
});
/** Looked at from another side: a turn about x, then about y. */
const turned = ({ points, closed: shut }: Curve, a: number, b: number): Curve => ({
	closed: shut,
	points: points.map(([x, y, z]) => {
		const [y1, z1] = [y * Math.cos(a) - z * Math.sin(a), y * Math.sin(a) + z * Math.cos(a)];
		return [x * Math.cos(b) + z1 * Math.sin(b), y1, -x * Math.sin(b) + z1 * Math.cos(b)];
	})
});

describe('what does not depend on the drawing', () => {
	it('from any side, the same knot', () => {
		const side = fc.double({ min: -3, max: 3, noNaN: true });
		for (const [, curve, alexander] of TABLE)
			fc.assert(
				fc.property(side, side, (a, b) => {
					expect(knotOf(turned(curve, a, b)).alexander).toEqual(alexander);
				}),
				{ numRuns: 12 }
			);
	});
	it('a mirror turns every sign and the writhe, and keeps the polynomial', () => {
		for (const [, curve] of TABLE) {
			const [one, other] = [knotOf(curve), knotOf(mirrored(curve))];
			expect(other.writhe).toBe(0 - one.writhe);
			expect(other.alexander).toEqual(one.alexander);
			expect(
				crossingsOf([mirrored(curve)])
					.map(({ sign }) => -sign)
					.sort()
			).toEqual(
				crossingsOf([curve])
					.map(({ sign }) => sign)
					.sort()
			);
		}
	});
	it('a Gauss code meets every crossing once above and once below', () => {
		const crossings = crossingsOf([torus(7)]);
		const [code] = gaussCode(1, crossings);
		expect(code).toHaveLength(2 * crossings.length);
		for (let i = 0; i < crossings.length; i++)
			expect(
				code!
					.filter(({ crossing }) => crossing === i)
					.map(({ over }) => over)
					.sort()
			).toEqual([false, true]);
	});
	it('kinks and strands laid over one another are pulled straight, and leave what is knotted', () => {
		const entry = (crossing: number, over: boolean, sign: 1 | -1 = 1) => ({ crossing, over, sign });
		const trefoil = [
			entry(0, true),
			entry(1, false),
			entry(2, true),
			entry(0, false),
			entry(1, true),
			entry(2, false)
		];
		expect(straightened(trefoil)).toEqual(trefoil);
		expect(straightened([...trefoil, entry(3, true), entry(3, false)])).toEqual(trefoil);
		const laid = [entry(3, true), entry(4, true, -1), ...trefoil, entry(3, false), entry(4, false, -1)];
		expect(straightened(laid)).toEqual(trefoil);
		// Clasped, not laid over: one over and one under on each, that stays.
		const clasp = [entry(3, true), entry(4, false), ...trefoil, entry(3, false), entry(4, true)];
		expect(straightened(clasp)).toEqual(clasp);
	});
	it('an open overhand, closed above, is the trefoil', () => {
		const { points } = torus(3);
		expect(knotOf(closedAbove(points.slice(0, N - 4))).alexander).toEqual([1, -1, 1]);
	});
});

describe('curves', () => {
	it('go through their control points, and stay near a circle', () => {
		const circle = Array.from({ length: 12 }, (_, i): Vec3 => [
			Math.cos((i * Math.PI) / 6),
			Math.sin((i * Math.PI) / 6),
			0
		]);
		const points = smooth(circle, { closed: true });
		for (const p of circle)
			expect(points.some((q) => Math.hypot(p[0] - q[0], p[1] - q[1]) < 1e-12)).toBe(true);
		for (const [x, y] of points) expect(Math.abs(Math.hypot(x, y) - 1)).toBeLessThan(0.01);
		expect(() => smooth([[0, 0, 0]])).toThrow(RangeError);
	});
	it('keep the distance of segments: across, beside, end to end', () => {
		expect(segmentDistance([-1, 0, 0], [1, 0, 0], [0, -1, 2], [0, 1, 2])).toBeCloseTo(2, 12);
		expect(segmentDistance([0, 0, 0], [1, 0, 0], [3, 4, 0], [3, 9, 0])).toBeCloseTo(Math.hypot(2, 4), 12);
		expect(segmentDistance([0, 0, 0], [1, 0, 0], [0, 3, 0], [1, 3, 0])).toBeCloseTo(3, 12);
		expect(segmentDistance([1, 1, 1], [1, 1, 1], [1, 1, 4], [1, 1, 4])).toBeCloseTo(3, 12);
	});
});
