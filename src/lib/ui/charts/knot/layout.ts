import { line } from 'd3-shape';
import {
	crossingsOf,
	type Crossing,
	type EndKind,
	type KnotStrand,
	type KnotStrandRole,
	type Vec3
} from '$lib/core';

/** How it is looked at: turned about the upright and the level axis, radians; mirrored for a left-hander. */
export interface View {
	readonly yaw: number;
	readonly pitch: number;
	readonly mirrored: boolean;
}
export const FRONT: View = { yaw: 0, pitch: 0, mirrored: false };

/** How a piece lies at its passage; free when it holds none. */
export type Lies = 'under' | 'free' | 'over';

/** A piece of a strand: it holds one passage at most. */
export interface Piece {
	readonly strand: number;
	readonly role: KnotStrandRole;
	readonly radius: number;
	readonly path: string;
	/** The same a little shorter: where pieces meet, the colour of both covers the edge of either. */
	readonly edge: string;
	/** The stretch that gets a margin of paper, where it passes over: short of its neighbours, which it does not part from. */
	readonly margin: string;
	/** How far along its strand it begins, mm: a texture goes on from there. */
	readonly from: number;
	readonly lies: Lies;
	/** How near it lies on the whole, mm toward whoever looks. */
	readonly near: number;
	/** The crossing it holds. */
	readonly crossing: Crossing | undefined;
}

/** A part of the plane, mm. */
export interface Box {
	readonly x: number;
	readonly y: number;
	readonly width: number;
	readonly height: number;
}

/** A box on the way from one to another. */
export const boxBetween = (from: Box, to: Box, share: number): Box => ({
	x: from.x + share * (to.x - from.x),
	y: from.y + share * (to.y - from.y),
	width: from.width + share * (to.width - from.width),
	height: from.height + share * (to.height - from.height)
});

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
	readonly box: Box;
}

/** Looked at from there; y then grows downward, as on a screen. */
export function seen([x, y, z]: Vec3, { yaw, pitch, mirrored }: View): Vec3 {
	const x0 = mirrored ? -x : x;
	const [x1, z1] = [x0 * Math.cos(yaw) + z * Math.sin(yaw), -x0 * Math.sin(yaw) + z * Math.cos(yaw)];
	const [y1, z2] = [y * Math.cos(pitch) - z1 * Math.sin(pitch), y * Math.sin(pitch) + z1 * Math.cos(pitch)];
	return [x1, -y1, z2];
}

/** Room round the drawing, and how far a piece runs on into the next so that no seam shows, mm. */
const MARGIN = 3.4;
const OVERLAP = 0.4;
/** By how much a margin of paper is shorter than its piece, at either end, mm. */
const MARGIN_SHORT = 0.6;
/** How far on either side of a passage its piece goes, strand widths: what passes over has a margin there. */
const PASSAGE_REACH = 2.2;
/** Longest piece that holds no crossing, mm. */
const FREE_LENGTH = 10;

/** A point of a curve at a place between two of its points. */
function pointAt(points: readonly Vec3[], at: number): Vec3 {
	const last = points.length - 1;
	const clamped = Math.min(Math.max(at, 0), last);
	const i = Math.min(Math.floor(clamped), last - 1);
	const t = clamped - i;
	const [a, b] = [points[i]!, points[i + 1]!];
	return [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1]), a[2] + t * (b[2] - a[2])];
}

/** A curve in space has its points close enough: in the plane they are joined. */
const joined = line<Vec3>(
	([x]) => x,
	([, y]) => y
).digits(3);

function pathOf(points: readonly Vec3[], from: number, to: number): string {
	const inner: Vec3[] = [];
	for (let i = Math.ceil(from + 1e-9); i < to; i++) inner.push(points[i]!);
	return joined([pointAt(points, from), ...inner, pointAt(points, to)])!;
}

function meanZ(points: readonly Vec3[], from: number, to: number): number {
	const samples = 12;
	let sum = 0;
	for (let i = 0; i <= samples; i++) sum += pointAt(points, from + ((to - from) * i) / samples)[2];
	return sum / (samples + 1);
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

/** One strand cut into pieces: one round each passage, and what lies free between them. */
function piecesOf(
	strand: KnotStrand,
	index: number,
	points: readonly Vec3[],
	crossings: readonly Crossing[]
): Piece[] {
	const passages = crossings
		.flatMap((crossing) => [
			{ ...crossing.over, lies: 'over' as const, crossing },
			{ ...crossing.under, lies: 'under' as const, crossing }
		])
		.filter(({ curve }) => curve === index)
		.sort((a, b) => a.at - b.at);
	const end = points.length - 1;
	const reach = 2 * strand.radiusMm * PASSAGE_REACH;
	const lengths = lengthsOf(points);
	const pieces: Piece[] = [];
	const add = (from: number, to: number, lies: Lies, passage?: { at: number; crossing: Crossing }): void => {
		if (to - from < 1e-9) return;
		// A piece runs on into the next, but never as far as another passage.
		const reached = (place: number, mm: number): number => {
			const on = along(points, place, mm);
			const before = passages.find(({ at }) => at !== passage?.at && (at - place) * (at - on) <= 0);
			return before ? place + (before.at - place) / 3 : on;
		};
		const [start, stop] = [reached(from, -OVERLAP), reached(to, OVERLAP)];
		const whole = Math.floor(start);
		pieces.push({
			strand: index,
			role: strand.role,
			radius: strand.radiusMm,
			path: pathOf(points, start, stop),
			edge: pathOf(points, (from + start) / 2, (to + stop) / 2),
			margin:
				lies === 'over'
					? pathOf(points, along(points, from, MARGIN_SHORT), along(points, to, -MARGIN_SHORT))
					: '',
			from: lengths[whole]! + (start - whole) * ((lengths[whole + 1] ?? lengths[whole]!) - lengths[whole]!),
			lies,
			near: meanZ(points, from, to),
			crossing: passage?.crossing
		});
	};
	/** What is long may lie near at one end and far at the other: it is laid in lengths. */
	const addFree = (from: number, to: number): void => {
		for (let start = from; start < to;) {
			const stop = Math.min(to, along(points, start, FREE_LENGTH));
			add(start, stop, 'free');
			start = stop;
		}
	};
	let done = 0;
	passages.forEach((passage, i) => {
		const { at, lies } = passage;
		const [before, after] = [passages[i - 1]?.at, passages[i + 1]?.at];
		const least = before === undefined ? 0 : (before + at) / 2;
		const most = after === undefined ? end : (after + at) / 2;
		const from = Math.max(least, along(points, at, -reach));
		const to = Math.min(most, along(points, at, reach));
		addFree(done, from);
		add(from, to, lies, passage);
		done = to;
	});
	addFree(done, end);
	return pieces;
}

/** How far along each point is, as it is seen, mm. */
function lengthsOf(points: readonly Vec3[]): number[] {
	const lengths = [0];
	for (let i = 1; i < points.length; i++) {
		const [[ax, ay], [bx, by]] = [points[i - 1]!, points[i]!];
		lengths.push(lengths[i - 1]! + Math.hypot(bx - ax, by - ay));
	}
	return lengths;
}

/**
 * The order in which pieces are painted: what lies nearer later. At a crossing what is over comes after what is under,
 * whatever the rest of the two pieces does; a piece holds one crossing at most, so that nothing contradicts that.
 */
function inPaintingOrder(pieces: readonly Piece[]): Piece[] {
	const below = new Map(
		pieces.flatMap(({ lies, crossing, near }) => (lies === 'under' ? [[crossing, near]] : []))
	);
	const height = ({ lies, crossing, near }: Piece): number =>
		lies === 'over' ? Math.max(near, below.get(crossing)! + 1e-6) : near;
	return pieces
		.map((piece) => ({ piece, height: height(piece) }))
		.sort((a, b) => a.height - b.height)
		.map(({ piece }) => piece);
}

function boxAround(strands: readonly KnotStrand[], looked: readonly (readonly Vec3[])[]): Box {
	let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
	for (const [x, y] of looked.flat()) {
		[left, right] = [Math.min(left, x), Math.max(right, x)];
		[top, bottom] = [Math.min(top, y), Math.max(bottom, y)];
	}
	const room = Math.max(...strands.map(({ radiusMm }) => radiusMm)) + MARGIN;
	return { x: left - room, y: top - room, width: right - left + 2 * room, height: bottom - top + 2 * room };
}

/** The part of the plane that strands need, looked at from there. */
export const boxOf = (strands: readonly KnotStrand[], view: View): Box =>
	boxAround(
		strands,
		strands.map(({ points }) => points.map((point) => seen(point, view)))
	);

/**
 * The strands as they are painted, piece by piece, and what else a picture of them needs.
 */
export function knotDrawing(strands: readonly KnotStrand[], view: View): KnotDrawing {
	const looked = strands.map(({ points, closed }) => {
		const turned = points.map((point) => seen(point, view));
		return closed ? [...turned, turned[0]!] : turned;
	});
	const crossings = crossingsOf(looked.map((points) => ({ points, closed: false })));
	const pieces = looked.flatMap((points, i) => piecesOf(strands[i]!, i, points, crossings));
	return {
		pieces: inPaintingOrder(pieces),
		crossings,
		ends: strands.flatMap(({ start, end, radiusMm: radius }, i) => {
			const points = looked[i]!;
			const mark = (kind: EndKind, [x, y]: Vec3, [fx, fy]: Vec3) =>
				kind === 'object'
					? []
					: [{ x, y, kind, radius, toward: (180 / Math.PI) * Math.atan2(y - fy, x - fx) }];
			return [...mark(start, points[0]!, points[1]!), ...mark(end, points.at(-1)!, points.at(-2)!)];
		}),
		box: boxAround(strands, looked)
	};
}
