import { clearanceMm, knotOf, tiedAlike, windings } from './checks';
import { describe, expect, it } from 'vitest';
import { findKnot } from './catalogue';
import { crossingsOf } from './crossings';
import { norm, sub, type Vec3 } from './curve';
import { closedAbove, linkingNumber } from './invariants';
import { momentOf, recast, wrapsOf, type Knot } from './knot';
import { type KnotStrand } from './strand';
import { DRAWN, findDrawn, tied } from './testing';

const counts = ({ wraps }: Pick<Knot, 'wraps'>): number[] =>
	Array.from({ length: wraps.most - wraps.least + 1 }, (_, i) => wraps.least + i);
const CASES = DRAWN.flatMap((knot) =>
	counts(knot).flatMap((wraps) => knot.stages.map((stage, i) => ({ knot, wraps, stage, i })))
).map((c) => [`${c.knot.slug}, ${c.wraps}, stage ${c.i + 1}`, c] as const);
/**
 * Every way from one stage to the next: with the fewest wraps, or with every number of them where there is time for
 * that. What moves while it is tight has the most points, and takes longest.
 */
const LONG = process.env['WENDLE_LONG'] !== undefined;
const MOVES = CASES.filter(([, { knot, wraps, stage }]) => {
	const { least, usual, most } = knot.wraps;
	return stage.moved && (LONG || [least, ...(stage.tight ? [] : [usual, most])].includes(wraps));
});
/**
 * A straight line, and what is tied on it, go on far beyond the knot: on which side of the line's tip the other leaves is
 * no matter.
 */
function lengthened(strands: readonly KnotStrand[]): readonly KnotStrand[] {
	const [line, other] = strands;
	if (!(line?.role === 'line' && line.points.length === 2) || !other) return strands;
	const far: Vec3 = [99, 6, 6];
	return [
		{ ...line, points: [[-99, 0, 0], [90, 0, 0]] }, // prettier-ignore
		{ ...other, points: [far, ...other.points] }
	];
}
const apart = (a: Vec3, b: Vec3): number => norm(sub(a, b));
/** T(2, n): n ones with alternating signs. */
const torus = (n: number): number[] => Array.from({ length: n }, (_, i) => (i % 2 === 0 ? 1 : -1));
/** How often a strand passes over the front of a coil: outside of everything, where it changes from up to down. */
const inFront = ({ points }: KnotStrand): number =>
	points.filter(([, y, z], i) => i > 0 && z > 3.2 && y < 0 !== points[i - 1]![1] < 0).length;
const closing = ({ points }: KnotStrand) => knotOf(closedAbove(points));

describe('every stage of every knot', () => {
	it.each(CASES)('%s: strands keep apart by a strand, and every place is a number', (_, { stage, wraps }) => {
		const strands = stage.strands(wraps);
		// Drawn up, strands press on each other: less than a tenth of one.
		expect(clearanceMm(strands)).toBeGreaterThan(stage.tight ? -0.2 : -1e-9);
		for (const { points } of strands)
			for (const point of points) expect(point.every(Number.isFinite)).toBe(true);
	});
	it.each(DRAWN.map((knot) => [knot.slug, knot] as const))(
		'%s: has words, ends, and no knot before it is tied',
		(_, knot) => {
			expect(knot.stages.length).toBeGreaterThanOrEqual(4);
			expect(knot.stages.length).toBeLessThanOrEqual(8);
			for (const { title, instruction, mistake, looks } of knot.stages)
				for (const words of [title, instruction, mistake, looks]) expect(words.length).toBeGreaterThan(3);
			const ends = knot.stages
				.at(-1)!
				.strands(knot.wraps.usual)
				.filter(({ start }) => start !== 'object');
			expect(ends.flatMap(({ start, end }) => [start, end])).toContain(
				knot.slug === 'leader-uncoiled' ? 'fine' : 'standing'
			);
			for (const { wrong } of knot.stages)
				if (wrong) expect(clearanceMm(wrong.strands())).toBeGreaterThan(-1e-9);
			for (const strand of knot.stages[0]!.strands(knot.wraps.usual))
				if (strand.start === 'standing') expect(closing(strand).alexander).toEqual([1]);
		}
	);
	it.each(MOVES)(
		'%s: nothing passes through anything on the way there, nor jumps',
		(_, { knot, wraps, stage, i }) => {
			const before = knot.stages[i - 1]!.strands(wraps);
			const steps = LONG || !stage.tight ? 20 : 10;
			const shares = Array.from({ length: steps + 1 }, (_, k) => k / steps);
			const way = shares.map((share) => stage.moved!(wraps, share));
			// Surfaces may press into each other where a fold opens; middles stay a radius apart.
			for (const strands of way) expect(clearanceMm(strands)).toBeGreaterThan(-0.7);
			expect(way.at(-1)).toEqual(stage.strands(wraps));
			for (const strand of way[0]!) {
				const was = before.find(
					({ role, radiusMm, points }) =>
						role === strand.role &&
						radiusMm === strand.radiusMm &&
						apart(points[0]!, strand.points[0]!) < 1e-6
				);
				expect(was, `a ${strand.role} that was not there`).toBeDefined();
				expect(apart(was!.points.at(-1)!, strand.points.at(-1)!)).toBeLessThan(1e-6);
			}
		}
	);
	it.each(
		CASES.filter(
			([, { knot, stage }]) => stage.tight && !['own-loop', 'needle-nail-knot'].includes(knot.slug)
		)
	)('%s: drawn up, it is the knot that was tied', (_, { knot, wraps, stage }) => {
		const before = knot.stages.findLast(({ tight }) => !tight)!;
		expect(tiedAlike(lengthened(before.strands(wraps)), lengthened(stage.strands(wraps)))).toBe(true);
	});
	it('between two stages a picture moves where it can, and fades where it cannot', () => {
		const nail = findDrawn('nail-knot')!;
		expect(momentOf(nail, 6, 1.5).fading).toBeUndefined();
		expect(momentOf(nail, 6, 99).strands).toEqual(nail.stages.at(-1)!.strands(6));
		const pulled = findDrawn('nail-knot-pulled')!;
		expect(momentOf(pulled, 6, 3.25).fading).toMatchObject({ share: 0.25 });
		expect(momentOf(pulled, 6, 3).fading).toBeUndefined();
	});
	it('can be tied with other strands, and stays the same knot', () => {
		const knot = findDrawn('loop-to-loop')!;
		const other = recast(knot, { backing: 'running-line', line: 'head' });
		expect(other.stages[2]!.strands(1).map(({ role }) => role)).toEqual(['running-line', 'head']);
		expect(other.stages[2]!.moved!(1, 0.5).map(({ role }) => role)).toEqual(['running-line', 'head']);
		expect(other.stages[2]!.strands(1).map(({ points }) => points)).toEqual(
			knot.stages[2]!.strands(1).map(({ points }) => points)
		);
		expect(other.stages[3]!.wrong!.strands()[0]!.role).toBe('running-line');
		expect(recast(knot, undefined)).toBe(knot);
	});
	it('takes as many wraps as it can when others are asked for', () => {
		const nail = findDrawn('nail-knot')!;
		expect([wrapsOf(nail, undefined), wrapsOf(nail, 2), wrapsOf(nail, 99), wrapsOf(nail, 7.4)]).toEqual([
			6, 5, 10, 7
		]);
		expect(findKnot('granny')).toBeUndefined();
	});
});

describe("proved by closing the ends (Rolfsen's table: overhand 3_1, double 5_1, triple 7_1; from memory)", () => {
	it.each([1, 2, 3])('an overhand of %i passes is T(2, 2n + 1)', (n) => {
		expect(closing(tied('overhand-stopper', n)[0]!)).toMatchObject({
			alexander: torus(2 * n + 1),
			determinant: 2 * n + 1
		});
	});
	it.each([2, 3])("a surgeon's loop of %i passes: the strand that runs double is T(2, 2n + 1)", (n) => {
		const [{ points }] = tied('surgeons-loop', n) as [KnotStrand];
		// Half of the strand, from the standing end to the fold, runs the path once.
		const half = points.slice(0, Math.floor(points.length / 2) - 20);
		expect(knotOf(closedAbove(half)).alexander).toEqual(torus(2 * n + 1));
	});
	it.each([2, 3])("both strands of a surgeon's join of %i passes are T(2, 2n + 1)", (n) => {
		for (const strand of tied('surgeons-join', n))
			expect(closing(strand).alexander).toEqual(torus(2 * n + 1));
	});
	it.each(
		['nail-knot', 'nail-knot-tool', 'nail-knot-pulled'].flatMap((slug) =>
			[5, 6, 7, 8, 10].map((n) => [slug, n] as const)
		)
	)(
		'%s of %i wraps: so many turns and a third, one more in front, and its strand is T(2, 2n + 1)',
		(slug, n) => {
			const [line, leader] = tied(slug, n) as [KnotStrand, KnotStrand];
			expect(closing(leader).alexander).toEqual(torus(2 * n + 1));
			expect(closing(line).alexander).toEqual([1]);
			expect(Math.abs(windings(leader.points))).toBeCloseTo(n + 1 / 3, 2);
			// Where the end turns back is in front too, and is not counted.
			expect(inFront(leader)).toBe(n + 1);
		}
	);
	it.each([3, 4, 6])('a uni of %i turns is a knot that the arbor alone keeps', (n) => {
		const [, backing] = tied('uni-arbor', n) as [KnotStrand, KnotStrand];
		expect(inFront(backing)).toBe(n + 1);
		// A running knot: with nothing in its loop it falls open.
		expect(closing(backing).alexander).toEqual([1]);
	});
	it('loop to loop lies square: each loop alone is a ring, the two are not linked as rings, and end to end it is a reef', () => {
		const [a, b] = tied('loop-to-loop', 1) as [KnotStrand, KnotStrand];
		const rings = [a, b].map(({ points }) => ({ points, closed: true }));
		for (const ring of rings) expect(knotOf(ring).alexander).toEqual([1]);
		const crossings = crossingsOf(rings);
		expect(crossings).toHaveLength(6);
		expect(linkingNumber(crossings, 0, 1)).toBe(0);
		// Rope to rope, ends joined far outside: 3_1 # mirror 3_1, (1 − t + t²)², of writhe 0; a granny's is ±6 (Rolfsen).
		const round: Vec3[] = [[-40, -30, 0], [40, -30, 0]]; // prettier-ignore
		const back: Vec3[] = [[40, 30, 0], [-40, 30, 0]]; // prettier-ignore
		const reef = knotOf({
			points: [...a.points, ...round, ...[...b.points].reverse(), ...back],
			closed: true
		});
		expect(reef).toMatchObject({ alexander: [1, -2, 3, -2, 1], determinant: 9, writhe: 0, crossings: 6 });
	});
	it('hitched, it is the same two rings in another shape: one crosses itself', () => {
		const { wrong } = findDrawn('loop-to-loop')!.stages.at(-1)!;
		const rings = wrong!.strands().map(({ points }) => ({ points, closed: true }));
		const crossings = crossingsOf(rings);
		expect(linkingNumber(crossings, 0, 1)).toBe(0);
		for (const ring of rings) expect(knotOf(ring).alexander).toEqual([1]);
		const between = crossings.filter(({ over, under }) => over.curve !== under.curve);
		expect([between.length, crossings.length - between.length]).toEqual([4, 2]);
	});
	it.each([1, 2])(
		'an overhand of %i passes on the arbor: with nothing in its loop only the stopper is left',
		(n) => {
			const [, backing] = tied('overhand-arbor', n) as [KnotStrand, KnotStrand];
			expect(inFront(backing)).toBe(n + 1);
			expect(closing(backing).alexander).toEqual(torus(2 * n + 1));
			// Before the stopper, nothing is left at all.
			const [, before] = findDrawn('overhand-arbor')!.stages[1]!.strands(n) as [KnotStrand, KnotStrand];
			expect(closing(before).alexander).toEqual([1]);
		}
	);
	it('a mirror turns the sign of every crossing', () => {
		for (const knot of DRAWN) {
			const strands = knot.stages.at(-1)!.strands(knot.wraps.usual);
			const signs = (curves: readonly KnotStrand[]): number =>
				crossingsOf(curves).reduce((sum, { sign }) => sum + sign, 0);
			const mirrored = strands.map((s) => ({
				...s,
				points: s.points.map(([x, y, z]) => [-x, y, z] as const)
			}));
			expect(signs(mirrored)).toBe(0 - signs(strands));
		}
	});
});
