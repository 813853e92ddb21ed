import { crossingsOf, type Crossing, type EndKind, type Strand, type StrandRole, type Vec3 } from '$lib/core';

/** How it is looked at: turned about the upright and the level axis, radians; mirrored for a left-hander. */
export interface View {
	readonly yaw: number;
	readonly pitch: number;
	readonly mirrored: boolean;
}
export const FRONT: View = { yaw: 0, pitch: 0, mirrored: false };

/** A piece of a strand, from midway between two passages to midway between the next: it holds one passage at most. */
export interface Piece {
	readonly strand: number;
	readonly role: StrandRole;
	readonly radius: number;
	readonly path: string;
	/** On top at its passage: painted after all that are not. */
	readonly over: boolean;
	/** The stretch round that passage, where it gets a margin of paper: only there is something to be parted from. */
	readonly margin?: string;
}

export interface KnotDrawing {
	/** In the order they are painted. */
	readonly pieces: readonly Piece[];
	readonly crossings: readonly Crossing[];
	/** Where strands end: a mark for each that is not an object's. */
	readonly ends: readonly {
		readonly x: number;
		readonly y: number;
		readonly kind: EndKind;
		readonly radius: number;
		/** Where it would go on, degrees clockwise from the right. */
		readonly toward: number;
	}[];
	readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

/** Looked at from there; y then grows downward, as on a screen. */
export function seen([x, y, z]: Vec3, { yaw, pitch, mirrored }: View): Vec3 {
	const x0 = mirrored ? -x : x;
	const [x1, z1] = [x0 * Math.cos(yaw) + z * Math.sin(yaw), -x0 * Math.sin(yaw) + z * Math.cos(yaw)];
	const [y1, z2] = [y * Math.cos(pitch) - z1 * Math.sin(pitch), y * Math.sin(pitch) + z1 * Math.cos(pitch)];
	return [x1, -y1, z2];
}

/** Room round the drawing, and how much a piece runs on into the next so that no seam shows, in points. */
const MARGIN = 3.4;
const OVERLAP = 0.3;
/** How far on either side of a passage the margin goes, strand widths. */
const MARGIN_REACH = 2.2;

/** A point of a curve at a place between two of its points. */
function pointAt(points: readonly Vec3[], at: number): Vec3 {
	const last = points.length - 1;
	const clamped = Math.min(Math.max(at, 0), last);
	const i = Math.min(Math.floor(clamped), last - 1);
	const t = clamped - i;
	const [a, b] = [points[i]!, points[i + 1]!];
	return [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1]), a[2] + t * (b[2] - a[2])];
}

function pathOf(points: readonly Vec3[], from: number, to: number): string {
	const inner: Vec3[] = [];
	for (let i = Math.ceil(from + 1e-9); i < to; i++) inner.push(points[i]!);
	return [pointAt(points, from), ...inner, pointAt(points, to)]
		.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(3)} ${y.toFixed(3)}`)
		.join('');
}

/** The place on a curve so many mm along from another, backward if negative. */
function along(points: readonly Vec3[], at: number, mm: number): number {
	const step = Math.sign(mm);
	let left = Math.abs(mm);
	let place = at;
	while (left > 0) {
		const next = step > 0 ? Math.floor(place) + 1 : Math.ceil(place) - 1;
		if (next < 0 || next > points.length - 1) return step > 0 ? points.length - 1 : 0;
		const [a, b] = [pointAt(points, place), points[next]!];
		const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
		if (length >= left) return place + ((next - place) * left) / length;
		left -= length;
		place = next;
	}
	return place;
}

/** One strand cut into pieces at the middles between its passages. */
function piecesOf(
	strand: Strand,
	index: number,
	points: readonly Vec3[],
	crossings: readonly Crossing[]
): Piece[] {
	const passages = crossings
		.flatMap(({ over, under }) => [
			{ ...over, on: true },
			{ ...under, on: false }
		])
		.filter(({ curve }) => curve === index)
		.sort((a, b) => a.at - b.at);
	const end = points.length - 1;
	// A piece runs on into the next, but never as far as the next one's passage.
	const cuts = passages.slice(1).map(({ at }, i) => {
		const before = passages[i]!.at;
		return { at: (at + before) / 2, on: Math.min(OVERLAP, (at - before) / 3) };
	});
	const bounds = [{ at: 0, on: 0 }, ...cuts, { at: end, on: 0 }];
	const reach = 2 * strand.radiusMm * MARGIN_REACH;
	return bounds.slice(1).map((to, i): Piece => {
		const [from, upTo] = [bounds[i]!.at - bounds[i]!.on, to.at + to.on];
		const passage = passages[i];
		const piece = {
			strand: index,
			role: strand.role,
			radius: strand.radiusMm,
			path: pathOf(points, from, upTo)
		};
		if (!passage?.on) return { ...piece, over: false };
		const near = Math.max(from, along(points, passage.at, -reach));
		const far = Math.min(upTo, along(points, passage.at, reach));
		return { ...piece, over: true, margin: pathOf(points, near, far) };
	});
}

/**
 * The strands as they are painted. Everything that passes under comes first, then everything that passes over: a
 * piece holds one passage, so that order is right at every crossing.
 */
export function knotDrawing(strands: readonly Strand[], view: View): KnotDrawing {
	const looked = strands.map(({ points, closed }) => {
		const turned = points.map((point) => seen(point, view));
		return closed ? [...turned, turned[0]!] : turned;
	});
	const crossings = crossingsOf(looked.map((points) => ({ points, closed: false })));
	const pieces = looked.flatMap((points, i) => piecesOf(strands[i]!, i, points, crossings));
	const all = looked.flat();
	const widest = Math.max(...strands.map(({ radiusMm }) => radiusMm)) + MARGIN;
	const [xs, ys] = [all.map(([x]) => x), all.map(([, y]) => y)];
	const [left, top] = [Math.min(...xs) - widest, Math.min(...ys) - widest];
	return {
		pieces: [...pieces.filter(({ over }) => !over), ...pieces.filter(({ over }) => over)],
		crossings,
		ends: strands.flatMap(({ start, end, radiusMm: radius }, i) => {
			const points = looked[i]!;
			const mark = (kind: EndKind, [x, y]: Vec3, [fx, fy]: Vec3) =>
				kind === 'object'
					? []
					: [{ x, y, kind, radius, toward: (180 / Math.PI) * Math.atan2(y - fy, x - fx) }];
			return [...mark(start, points[0]!, points[1]!), ...mark(end, points.at(-1)!, points.at(-2)!)];
		}),
		box: {
			x: left,
			y: top,
			width: Math.max(...xs) + widest - left,
			height: Math.max(...ys) + widest - top
		}
	};
}
