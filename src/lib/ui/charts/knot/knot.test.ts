import { KNOTS, wrapsOf, type KnotStrand } from '$lib/core';
import { render } from 'svelte/server';
import { describe, expect, it } from 'vitest';
import KnotDiagram from './KnotDiagram.svelte';
import { FRONT, knotDrawing, seen, type View } from './layout';

type Point = readonly [x: number, y: number];
interface Painted {
	readonly strand: number;
	readonly points: readonly Point[];
}

/** What a picture shows: its outlines, in the order they are painted. */
function painted(svg: string): Painted[] {
	const groups = svg.matchAll(/<g fill="none" data-strand="(\d+)"[^>]*>(.*?)<\/g>/gs);
	return [...groups].map(([, strand, inside]) => {
		const outline = [...inside!.matchAll(/<path[^>]*>/g)].find(([tag]) => tag.includes('data-outline'))![0];
		const d = / d="([^"]*)"/.exec(outline)![1]!;
		const points = d
			.split(/[ML]/)
			.filter(Boolean)
			.map((pair): Point => pair.split(',').map(Number) as unknown as Point);
		return { strand: Number(strand), points };
	});
}

function meeting(a: Point, b: Point, c: Point, d: Point): Point | undefined {
	const [dx, dy, ex, ey] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]];
	const across = dx * ey - dy * ex;
	if (Math.abs(across) < 1e-9) return undefined;
	const s = ((c[0] - a[0]) * ey - (c[1] - a[1]) * ex) / across;
	const t = ((c[0] - a[0]) * dy - (c[1] - a[1]) * dx) / across;
	return s >= 0 && s <= 1 && t >= 0 && t <= 1 ? [a[0] + s * dx, a[1] + s * dy] : undefined;
}

/** Near a place in the picture: what is painted there, the topmost first. */
function readAt(
	pieces: readonly Painted[],
	x: number,
	y: number
): { top: number; below: number } | undefined {
	const NEAR = 0.02;
	for (let j = pieces.length - 1; j > 0; j--)
		for (let i = j - 1; i >= 0; i--)
			for (let p = 1; p < pieces[j]!.points.length; p++)
				for (let q = 1; q < pieces[i]!.points.length; q++) {
					const [b, d] = [pieces[j]!, pieces[i]!];
					const [b0, b1, d0, d1] = [b.points[p - 1]!, b.points[p]!, d.points[q - 1]!, d.points[q]!];
					if (Math.min(Math.abs(b0[0] - x), Math.abs(d0[0] - x)) > 6) continue;
					const at = meeting(b0, b1, d0, d1);
					if (at && Math.hypot(at[0] - x, at[1] - y) < NEAR) return { top: j, below: i };
				}
	return undefined;
}

const show = (strands: readonly KnotStrand[], view: View): string =>
	render(KnotDiagram, { props: { strands, view, label: 'a knot' } }).body;

describe('a picture, read back', () => {
	const VIEWS: readonly View[] = [
		FRONT,
		{ yaw: 0.21, pitch: -0.17, mirrored: false },
		{ ...FRONT, mirrored: true }
	];
	it.each(
		KNOTS.flatMap((knot) =>
			knot.stages.map((stage, i) => [`${knot.slug}, stage ${i + 1}`, knot, stage] as const)
		)
	)('%s: what is painted on top at each crossing is what lies on top in space', (_, knot, stage) => {
		const strands = stage.strands(wrapsOf(knot, knot.wraps.least));
		for (const view of VIEWS) {
			const { crossings, pieces } = knotDrawing(strands, view);
			const read = painted(show(strands, view));
			expect(read).toHaveLength(pieces.length);
			for (const { over, under, x, y } of crossings) {
				const found = readAt(read, x, y);
				expect(found, `nothing crosses at ${x.toFixed(2)}, ${y.toFixed(2)}`).toBeDefined();
				expect(read[found!.top]!.strand).toBe(over.curve);
				expect(read[found!.below]!.strand).toBe(under.curve);
				// Of one strand over itself, the piece on top is the one that says so.
				expect([pieces[found!.top]!.lies, pieces[found!.below]!.lies]).toEqual(['over', 'under']);
			}
		}
	});
	it('a mirror shows each crossing on the other side, over staying over', () => {
		const [knot] = KNOTS;
		const strands = knot!.stages.at(-1)!.strands(knot!.wraps.usual);
		const [one, other] = [knotDrawing(strands, FRONT), knotDrawing(strands, { ...FRONT, mirrored: true })];
		const places = (xs: readonly number[]) => xs.map((x) => x.toFixed(6)).sort();
		expect(places(other.crossings.map(({ x }) => -x))).toEqual(places(one.crossings.map(({ x }) => x)));
		expect(other.crossings.map(({ sign }) => -sign).sort()).toEqual(
			one.crossings.map(({ sign }) => sign).sort()
		);
	});
	it('turning the view keeps lengths', () => {
		const [x, y, z] = seen([3, -4, 5], { yaw: 0.4, pitch: -0.3, mirrored: true });
		expect(Math.hypot(x, y, z)).toBeCloseTo(Math.hypot(3, 4, 5), 12);
	});
	it('marks ends as what they are, and an object has none', () => {
		const nail = KNOTS.find(({ slug }) => slug === 'nail-knot')!;
		const { ends } = knotDrawing(nail.stages[0]!.strands(6), FRONT);
		expect(ends.map(({ kind }) => kind).sort()).toEqual(['standing', 'standing', 'tag', 'tag']);
	});
});
