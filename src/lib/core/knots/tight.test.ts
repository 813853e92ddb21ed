import { describe, expect, it } from 'vitest';
import { norm, sub, type Vec3 } from './curve';
import type { KnotStrand } from './strand';
import { findDrawn } from './testing';
import { packed, tightened, unpacked, withWay } from './tight';

/** Where a strand touches itself, farther along than a bend is long: the knot in it. */
function knotted({ points, radiusMm }: KnotStrand): Vec3[] {
	const spacing = norm(sub(points[11]!, points[10]!));
	const bend = (2 * Math.PI * radiusMm) / spacing;
	return points.filter((p, i) =>
		points.some((q, j) => Math.abs(i - j) > bend && norm(sub(p, q)) < 2.4 * radiusMm)
	);
}
const range = (points: readonly Vec3[], d: 0 | 1): [low: number, high: number] => [
	Math.min(...points.map((p) => p[d])),
	Math.max(...points.map((p) => p[d]))
];
/** How near two lots of points come to each other, mm. */
const between = (a: readonly Vec3[], b: readonly Vec3[]): number =>
	a.reduce((least, p) => b.reduce((near, q) => Math.min(near, norm(sub(p, q))), least), Infinity);
const finished = (slug: string, wraps: number): readonly KnotStrand[] =>
	findDrawn(slug)!.stages.at(-1)!.strands(wraps);

describe('what the words say of the finished knot is true of its curves', () => {
	it.each([1, 2, 3])('an overhand of %i passes is a small bead, not a ring', (n) => {
		const [strand] = finished('overhand-stopper', n) as [KnotStrand];
		const knot = knotted(strand);
		// Two strands high and a loop over them; along, each pass adds a turn.
		const [[left, right], [low, high]] = [range(knot, 0), range(knot, 1)];
		expect(high - low).toBeLessThan(8);
		expect(right - left).toBeLessThan(4 + 4 * n);
		const [, end] = range(strand.points, 0);
		// Trimmed to a millimetre or two.
		expect(end - range(knot, 0)[1]).toBeLessThan(4);
	});
	it.each([3, 4, 5, 6])(
		'a double uni of %i turns: two barrels close together, no slack between them',
		(n) => {
			const [line, backing] = finished('double-uni', n).map(knotted) as [Vec3[], Vec3[]];
			// Middles; a strand is 2 mm thick: no more than about half of one between them.
			expect(between(line, backing)).toBeLessThan(3.1);
		}
	);
	it.each([1, 2])('an overhand of %i passes on the arbor lies against it', (n) => {
		const [arbor, backing] = finished('overhand-arbor', n) as [KnotStrand, KnotStrand];
		const knot = knotted(backing).filter(([x]) => x < range(arbor.points, 0)[0] + 2);
		// Two strands apart at most.
		expect(between(knot, arbor.points)).toBeLessThan(5.5);
	});
	it.each([3, 4, 5, 6])('a uni of %i turns is a barrel no longer than its turns are thick', (n) => {
		const [, backing] = finished('uni-arbor', n) as [KnotStrand, KnotStrand];
		const [low, high] = range(knotted(backing), 0);
		expect(high - low).toBeLessThan(6 + 2.4 * n);
	});
	it.each([2, 3])("a surgeon's loop of %i passes: a compact knot, its loop longer than that", (n) => {
		const [strand] = finished('surgeons-loop', n) as [KnotStrand];
		const knot = knotted(strand);
		const middle = strand.points[Math.floor(strand.points.length / 2)]!;
		const [low, high] = [Math.min(...knot.map(([, y]) => y)), Math.max(...knot.map(([, y]) => y))];
		expect(high - low).toBeLessThan(9 + 2 * n);
		expect(middle[0]).toBe(Math.max(middle[0], ...knot.map(([x]) => x - 2)));
	});
});

/** So many movements made, so much trimmed. */
const at = (tight: number, trim = 0) => ({ tight, trim });

describe('curves that are kept', () => {
	const curves = {
		4: {
			moments: [
				{ at: 0.67, strands: [{ first: 4, every: 1, points: [[0, 0, 0], [1, 0.5, -2], [3, 1, -2], [4, 1, -2]] as const }, undefined] }, // prettier-ignore
				{ at: 1, strands: [{ first: 5, every: 1, points: [[0, 0, 0], [2, 0, 0], [4, 0, 0], [6, 0, 0]] as const }, undefined] } // prettier-ignore
			],
			spareMm: [[0, 3] as const, [0, 0] as const]
		}
	};
	const strand = { role: 'backing', radiusMm: 1, closed: false, start: 'standing', end: 'tag' } as const;
	const loose: KnotStrand[] = [
		{ ...strand, points: [[9, 9, 9], [8, 8, 8]] }, // prettier-ignore
		{ ...strand, points: [[7, 7, 7], [6, 6, 6]] } // prettier-ignore
	];
	it('are read back as they were, to a hundredth of a millimetre', () => {
		expect(unpacked(JSON.parse(JSON.stringify(packed(curves, 100))))).toEqual(curves);
	});
	it('give the moment that is asked for; what has none stays as it is', () => {
		const [first, second] = tightened(loose, curves[4], at(0.67)) as [KnotStrand, KnotStrand];
		expect(first.points.at(-1)).toEqual([4, 1, -2]);
		expect(second.points).toBe(loose[1]!.points);
		expect(tightened(loose, curves[4], at(3))[0]!.points.at(-1)).toEqual([6, 0, 0]);
		expect(() => tightened(loose, undefined, at(1))).toThrow(RangeError);
	});
	it('between two moments each node that both have is on its straight way, and so are the ends', () => {
		const [{ points }] = tightened(loose, curves[4], at(0.67 + 0.33 / 2)) as [KnotStrand];
		// Node 5 is the second that the earlier moment keeps, and the first of the later one.
		const [start, node, end] = [points[0]!, points[5]!, points.at(-1)!];
		expect(start).toEqual([0, 0, 0]);
		end.forEach((mm, d) => expect(mm).toBeCloseTo([5, 0.5, -1][d]!, 9));
		node.forEach((mm, d) => expect(mm).toBeCloseTo([2.5, 0.5, -1][d]!, 9));
		const rough = { ...curves[4].moments[1]!, at: 0.9, strands: [{ first: 4, every: 2, points: [[0, 0, 0], [1, 0, 0], [5, 0, 0]] as const }, undefined] }; // prettier-ignore
		const both = withWay(curves, { 4: { moments: [rough], spareMm: [] } });
		expect(both[4]!.moments.map((moment) => moment.at)).toEqual([0.67, 0.9, 1]);
		expect(tightened(loose, both[4], at(0.8))[0]!.points.at(-1)![0]).toBeCloseTo(4 + 0.13 / 0.23, 6);
	});
	it('of a short end so much is cut off that the stump is left', () => {
		const ends = (trim: number, spare = 3) => {
			const spareMm = [[0, spare] as const, [0, 0] as const];
			return tightened(loose, { ...curves[4], spareMm }, at(1, trim))[0]!.points.at(-1)![0];
		};
		expect(ends(1)).toBeCloseTo(6 - (3 - 1.6), 9);
		expect(ends(0.5)).toBeCloseTo(6 - (3 - 1.6) / 2, 9);
		expect(ends(1, 1)).toBeCloseTo(6, 9);
	});
});
