import { describe, expect, it } from 'vitest';
import { KNOTS, findKnot } from './catalogue';
import { crossingsOf } from './crossings';
import { closedAbove, knotOf } from './invariants';
import { wrapsOf, type Knot } from './knot';
import { clearanceMm, windings, type Strand } from './strand';

const counts = ({ wraps }: Knot): number[] =>
	Array.from({ length: wraps.most - wraps.least + 1 }, (_, i) => wraps.least + i);
const CASES = KNOTS.flatMap((knot) =>
	counts(knot).flatMap((wraps) => knot.stages.map((stage, i) => ({ knot, wraps, stage, i })))
).map((c) => [`${c.knot.slug}, ${c.wraps}, stage ${c.i + 1}`, c] as const);
const last = (slug: string, wraps: number): readonly Strand[] =>
	findKnot(slug)!.stages.at(-1)!.strands(wraps);
/** T(2, n): n ones with alternating signs. */
const torus = (n: number): number[] => Array.from({ length: n }, (_, i) => (i % 2 === 0 ? 1 : -1));
/** How often a strand passes over the front of a coil: outside of everything, where it changes from up to down. */
const inFront = ({ points }: Strand): number =>
	points.filter(([, y, z], i) => i > 0 && z > 3.2 && y < 0 !== points[i - 1]![1] < 0).length;
const closing = ({ points }: Strand) => knotOf(closedAbove(points));

describe('every stage of every knot', () => {
	it.each(CASES)('%s: strands keep apart by a strand, and every place is a number', (_, { stage, wraps }) => {
		const strands = stage.strands(wraps);
		expect(clearanceMm(strands)).toBeGreaterThan(-1e-9);
		for (const { points } of strands)
			for (const point of points) expect(point.every(Number.isFinite)).toBe(true);
	});
	it.each(KNOTS.map((knot) => [knot.slug, knot] as const))(
		'%s: has words, ends, and no knot before it is tied',
		(_, knot) => {
			expect(knot.stages.length).toBeGreaterThanOrEqual(4);
			expect(knot.stages.length).toBeLessThanOrEqual(8);
			for (const { title, instruction, mistake, looks } of knot.stages)
				for (const words of [title, instruction, mistake, looks]) expect(words.length).toBeGreaterThan(3);
			const tied = knot.stages
				.at(-1)!
				.strands(knot.wraps.usual)
				.filter(({ start }) => start !== 'object');
			expect(tied.flatMap(({ start, end }) => [start, end])).toEqual(
				expect.arrayContaining(['standing', 'tag'])
			);
			const [first] = knot.stages[0]!.strands(knot.wraps.usual).filter(({ start }) => start !== 'object');
			expect(closing(first!).alexander).toEqual([1]);
		}
	);
	it('takes as many wraps as it can when others are asked for', () => {
		const nail = findKnot('nail-knot')!;
		expect([wrapsOf(nail, undefined), wrapsOf(nail, 2), wrapsOf(nail, 99), wrapsOf(nail, 7.4)]).toEqual([
			6, 5, 10, 7
		]);
		expect(findKnot('granny')).toBeUndefined();
	});
});

describe("proved by closing the ends (Rolfsen's table: overhand 3_1, double 5_1, triple 7_1; from memory)", () => {
	it.each([1, 2, 3])('an overhand of %i passes is T(2, 2n + 1)', (n) => {
		expect(closing(last('overhand-stopper', n)[0]!)).toMatchObject({
			alexander: torus(2 * n + 1),
			determinant: 2 * n + 1
		});
	});
	it.each([2, 3])("a surgeon's loop of %i passes: the strand that runs double is T(2, 2n + 1)", (n) => {
		const [{ points }] = last('surgeons-loop', n) as [Strand];
		// Half of the strand, from the standing end to the fold, runs the path once.
		const half = points.slice(0, Math.floor(points.length / 2) - 20);
		expect(knotOf(closedAbove(half)).alexander).toEqual(torus(2 * n + 1));
	});
	it.each([2, 3])("both strands of a surgeon's join of %i passes are T(2, 2n + 1)", (n) => {
		for (const strand of last('surgeons-join', n))
			expect(closing(strand).alexander).toEqual(torus(2 * n + 1));
	});
	it.each([5, 6, 7, 8, 10])(
		'a nail knot of %i wraps: as many in front, and its strand is T(2, 2n − 1)',
		(n) => {
			const [line, leader] = last('nail-knot', n) as [Strand, Strand];
			expect(closing(leader).alexander).toEqual(torus(2 * n - 1));
			expect(closing(line).alexander).toEqual([1]);
			expect(Math.abs(windings(leader.points))).toBeCloseTo(n - 2 / 3, 2);
			expect(inFront(leader)).toBe(n);
		}
	);
	it.each([3, 4, 6])('a uni of %i turns is a knot that the arbor alone keeps', (n) => {
		const [, backing] = last('uni-arbor', n) as [Strand, Strand];
		expect(inFront(backing)).toBe(n);
		// A running knot: with nothing in its loop it falls open.
		expect(closing(backing).alexander).toEqual([1]);
	});
	it('a mirror turns the sign of every crossing', () => {
		for (const knot of KNOTS) {
			const strands = knot.stages.at(-1)!.strands(knot.wraps.usual);
			const signs = (curves: readonly Strand[]): number =>
				crossingsOf(curves).reduce((sum, { sign }) => sum + sign, 0);
			const mirrored = strands.map((s) => ({
				...s,
				points: s.points.map(([x, y, z]) => [-x, y, z] as const)
			}));
			expect(signs(mirrored)).toBe(0 - signs(strands));
		}
	});
});
