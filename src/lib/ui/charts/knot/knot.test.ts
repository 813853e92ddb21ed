import { drawKnot, KNOTS, wrapsOf, type KnotStrand } from '$lib/core';
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

/** Nearest to a place in the picture: which two pieces cross there, the one on top first. */
function readAt(
	pieces: readonly Painted[],
	x: number,
	y: number
): { top: number; below: number } | undefined {
	// Only what passes by there can cross there.
	const NEAR = 0.02;
	const by = (p: Point, q: Point): boolean =>
		[x, y].every((at, d) => Math.min(p[d]!, q[d]!) <= at + NEAR && Math.max(p[d]!, q[d]!) >= at - NEAR);
	const passing = pieces.flatMap(({ points }, piece) =>
		points.slice(1).flatMap((q, i) => (by(points[i]!, q) ? [{ piece, p: points[i]!, q }] : []))
	);
	let [nearest, found]: [number, { top: number; below: number } | undefined] = [NEAR, undefined];
	for (const a of passing)
		for (const b of passing) {
			if (a.piece <= b.piece) continue;
			const at = meeting(a.p, a.q, b.p, b.q);
			const away = at ? Math.hypot(at[0] - x, at[1] - y) : Infinity;
			if (away < nearest) [nearest, found] = [away, { top: a.piece, below: b.piece }];
		}
	return found;
}

const DRAWN = await Promise.all(KNOTS.map(drawKnot));
const show = (strands: readonly KnotStrand[], view: View): string =>
	render(KnotDiagram, { props: { strands, view, label: 'a knot' } }).body;

describe('a picture, read back', () => {
	const VIEWS: readonly View[] = [
		FRONT,
		{ yaw: 0.21, pitch: -0.17, mirrored: false },
		{ ...FRONT, mirrored: true }
	];
	it.each(
		DRAWN.flatMap((knot) =>
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
		const [knot] = DRAWN;
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
		const nail = DRAWN.find(({ slug }) => slug === 'nail-knot')!;
		const { ends } = knotDrawing(nail.stages[0]!.strands(6), FRONT);
		expect(ends.map(({ kind }) => kind).sort()).toEqual(['standing', 'standing', 'tag', 'tag']);
	});
});
