import { knotOf, windings } from './checks';
import { describe, expect, it } from 'vitest';
import { crossingsOf } from './crossings';
import type { Vec3 } from './curve';
import { closedAbove, linkingNumber } from './invariants';
import { type KnotStrand } from './strand';
import { findDrawn, tied } from './testing';

/** What is drawn up apart from the rest of its picture. */
const COMPOSED = ['own-loop', 'needle-nail-knot'];
/** A stage; the last one as it is tied, where its turns can be counted. */
const stageOf = (slug: string, stage: number, wraps: number): readonly KnotStrand[] =>
	stage === -1 && !COMPOSED.includes(slug)
		? tied(slug, wraps)
		: findDrawn(slug)!.stages.at(stage)!.strands(wraps);
const torus = (n: number): number[] => Array.from({ length: n }, (_, i) => (i % 2 === 0 ? 1 : -1));
const closing = ({ points }: KnotStrand) => knotOf(closedAbove(points));
/** How often two strands are linked when each is closed, one high above, the other higher still. */
function linked(a: KnotStrand, b: KnotStrand): number {
	const above = closedAbove(b.points);
	const higher = { ...above, points: above.points.map((p, i): Vec3 => (i < b.points.length ? p : [p[0], p[1], p[2] + 50])) }; // prettier-ignore
	return linkingNumber(crossingsOf([closedAbove(a.points), higher]), 0, 1);
}

describe('joins, proved by closing the ends (torus knots T(2, n): Rolfsen, from memory; which is tied how: common practice)', () => {
	it.each([3, 4, 6])(
		'a double uni of %i turns: two coils, each T(2, 2n + 1), each round the other strand',
		(n) => {
			const [line, backing] = stageOf('double-uni', -1, n) as [KnotStrand, KnotStrand];
			for (const strand of [line, backing]) {
				expect(closing(strand).alexander).toEqual(torus(2 * n + 1));
				expect(Math.abs(windings(strand.points))).toBeGreaterThan(n);
			}
			// The same from the other side: as one goes to the right it turns as the other does going to the left.
			expect(windings(line.points) + windings(backing.points)).toBeCloseTo(0, 6);
			// Every turn of either coil is one link more; closing the ends undoes one.
			expect(Math.abs(linked(line, backing))).toBe(2 * n + 1);
		}
	);
	it.each([3, 5, 7])(
		'a blood knot of %i turns: neither strand is knotted alone, and they wind round each other',
		(n) => {
			const [leader, tippet] = stageOf('blood-knot', -1, n) as [KnotStrand, KnotStrand];
			for (const strand of [leader, tippet]) expect(closing(strand).alexander).toEqual([1]);
			const before = stageOf('blood-knot', 1, n) as [KnotStrand, KnotStrand];
			expect(Math.abs(windings(before[0].points.filter(([x]) => x > 4.6)))).toBeCloseTo(n, 1);
			const { wrong } = findDrawn('blood-knot')!.stages.find((stage) => stage.wrong)!;
			const right = stageOf('blood-knot', -1, 3) as [KnotStrand, KnotStrand];
			const same = wrong!.strands() as [KnotStrand, KnotStrand];
			// Both ends from one side: the crossings of one passage are turned over, and the link is another.
			expect(linked(...same)).not.toBe(linked(...right));
			expect(Math.abs(linked(leader, tippet))).toBeGreaterThanOrEqual(n);
		}
	);
	it.each([4, 8, 12])(
		'an Albright of %i wraps: round both strands of the bight, out where it came in',
		(n) => {
			const [line, backing] = stageOf('albright', -1, n) as [KnotStrand, KnotStrand];
			const wound = backing.points.filter(([x]) => x < 0.95 * Math.max(...line.points.map(([lx]) => lx)));
			expect(Math.round(Math.abs(windings(wound)))).toBeGreaterThanOrEqual(n - 1);
			// A ring of thick line, its ends joined: the thin one goes in and out on one side, so that they are not linked.
			const ring = { points: line.points, closed: true };
			const thin = closedBehind(backing.points);
			expect(linkingNumber(crossingsOf([ring, thin]), 0, 1)).toBe(0);
		}
	);
	it('an Albright whose end leaves on the other side is linked with the fold', () => {
		const { wrong } = findDrawn('albright')!.stages.find((stage) => stage.wrong)!;
		const [line, backing] = wrong!.strands() as [KnotStrand, KnotStrand];
		const ring = { points: line.points, closed: true };
		expect(Math.abs(linkingNumber(crossingsOf([ring, closedBehind(backing.points)]), 0, 1))).toBe(1);
	});
	it.each([5, 6, 9])('a loop of your own: two nail knots of %i wraps over both strands of the line', (n) => {
		const [line, first, second] = stageOf('own-loop', -1, n) as [KnotStrand, KnotStrand, KnotStrand];
		for (const mono of [first, second]) expect(closing(mono).alexander).toEqual(torus(2 * n + 1));
		expect(closing(line).alexander).toEqual([1]);
		const at = ({ points }: KnotStrand) => points.reduce((sum, [x]) => sum + x, 0) / points.length;
		expect(at(second)).toBeGreaterThan(at(first));
	});
	it.each([5, 8])('a needle nail knot of %i wraps is a nail knot whose strand comes out of the core', (n) => {
		const strands = stageOf('needle-nail-knot', -1, n);
		const leader = strands.find(({ role }) => role === 'leader')!;
		expect(closing(leader).alexander).toEqual(torus(2 * n + 1));
		const [start] = leader.points;
		expect([start![1], start![2]]).toEqual([0, 0]);
	});
	it.each([2, 3])(
		"two surgeon's knots in a row of %i passes: the strand that runs double is T(2, 2n + 1) twice over",
		(n) => {
			const [{ points }] = stageOf('surgeons-loop-two', -1, n) as [KnotStrand];
			const half = points.slice(0, Math.floor(points.length / 2) - 20);
			const { alexander, determinant } = knotOf(closedAbove(half));
			// A sum of knots multiplies their polynomials (Alexander 1928).
			const one = torus(2 * n + 1);
			const square = Array.from({ length: 2 * one.length - 1 }, (_, k) =>
				one.reduce((sum, c, i) => sum + c * (one[k - i] ?? 0), 0)
			);
			expect(alexander).toEqual(square);
			expect(determinant).toBe((2 * n + 1) ** 2);
		}
	);
	it.each([1, 2, 3])('a loop over the spool, %i times round the arbor', (n) => {
		const [arbor, backing] = stageOf('spool-loop', -1, n) as [KnotStrand, KnotStrand];
		const [xs, ys] = [0, 1].map((i) => arbor.points.map((p) => p[i as 0 | 1]));
		const middle = (values: number[]) => (Math.min(...values) + Math.max(...values)) / 2;
		const [cx, cy] = [middle(xs!), middle(ys!)];
		const round = backing.points
			.filter(([x]) => x > Math.min(...xs!))
			.map(([x, y, z]): Vec3 => [z, y - cy, x - cx]);
		expect(Math.abs(windings(round))).toBeGreaterThan(n - 0.35);
		expect(Math.abs(windings(round))).toBeLessThan(n + 0.1);
	});
	it('a leader whose butt is unwound, a splice and a crimp are not knotted', () => {
		for (const slug of ['leader-uncoiled', 'glued-splice', 'wire-crimp'])
			for (const stage of findDrawn(slug)!.stages.slice(1))
				for (const strand of stage.strands(findDrawn(slug)!.wraps.usual))
					expect(closing(strand).alexander).toEqual([1]);
	});
});

/** Closed far to the right, behind everything: where both ends go that leave behind the fold. */
const closedBehind = (points: readonly Vec3[]) => ({
	closed: true,
	points: [...points, [90, -3, -9] satisfies Vec3, [90, 3, -9] satisfies Vec3]
});
