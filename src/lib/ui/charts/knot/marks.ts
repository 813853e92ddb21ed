import {
	STANDS_OUTWARD,
	type EndKind,
	type Hand,
	type KnotStrand,
	type KnotStrandRole,
	type Laid,
	type Vec3
} from '$lib/core';
import { seen, type Box, type KnotDrawing, type View } from './layout';

/** What is drawn over the strands so that people can tie a knot from its picture: words, arrows and hands. */

/** A word at an end of a strand. */
export interface Label {
	readonly text: string;
	/** Its box, and the end that it belongs to. */
	readonly box: Box;
	readonly end: readonly [x: number, y: number];
}
/** A mark on a strand. `toward` is its direction, degrees clockwise from the right. */
export interface Mark {
	readonly x: number;
	readonly y: number;
	readonly toward: number;
	readonly radius: number;
}
/** A hand. `pulls` is the direction in which it pulls, as `toward`; a hand without it only holds. */
export interface HandMark extends Mark {
	readonly with: Hand['with'];
	readonly pulls?: number;
}

const degrees = (x: number, y: number): number => (180 / Math.PI) * Math.atan2(y, x);

/** What to call the standing ends of two different strands. A strand that is tied alone has no sides. */
function standingWords(strands: readonly KnotStrand[]): Partial<Record<KnotStrandRole, string>> {
	const roles = new Set(
		strands.flatMap(({ role, start, end }) => (start === 'standing' || end === 'standing' ? [role] : []))
	);
	const outward = [...roles].sort((a, b) => STANDS_OUTWARD.indexOf(a) - STANDS_OUTWARD.indexOf(b));
	if (outward.length !== 2) return {};
	return { [outward[0]!]: 'reel side', [outward[1]!]: 'rod side' };
}
const END_WORDS: Partial<Record<EndKind, string>> = {
	standing: 'standing',
	tag: 'tag',
	fine: 'fine end',
	butt: 'thick end'
};

/** From the middle of a hand to its finger tips, mm. */
const HAND_MM = 4.2;
/** Shares of a letter's height: its usual width, and the room between a word and its strand. */
const LETTER = 0.56;
const STAND_OFF = 0.45;

const overlaps = (a: Box, b: Box): boolean =>
	a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

/** Whether a curve comes nearer to a box than `near` mm. */
function meets(points: readonly Vec3[], near: number, box: Box): boolean {
	const inflated = boxAround(box, near);
	for (let i = 1; i < points.length; i++) {
		const [[ax, ay], [bx, by]] = [points[i - 1]!, points[i]!];
		// Points lie close; a straight strand has two of them, and is looked at in steps.
		const steps = Math.max(1, Math.ceil(Math.hypot(bx - ax, by - ay)));
		for (let k = 0; k <= steps; k++) {
			const [x, y] = [ax + (k / steps) * (bx - ax), ay + (k / steps) * (by - ay)];
			if (overlaps({ x, y, width: 0, height: 0 }, inflated)) return true;
		}
	}
	return false;
}

/**
 * A word beside each end of each strand, where there is room: never over a strand, a hand or another word.
 *
 * @param high height of the letters, in the units of the drawing
 */
export function labelsOf(
	strands: readonly KnotStrand[],
	view: View,
	high: number,
	hands: readonly HandMark[] = []
): Label[] {
	const words = standingWords(strands);
	const looked = strands.map(({ points }) => points.map((point) => seen(point, view)));
	const marked = [
		...hands.map(({ x, y }) => boxAround({ x, y, width: 0, height: 0 }, HAND_MM)),
		...strands.flatMap(({ start, end, radiusMm }, s) => [
			...endBox(start, looked[s]![0]!, looked[s]![1]!, radiusMm),
			...endBox(end, looked[s]!.at(-1)!, looked[s]!.at(-2)!, radiusMm)
		])
	];
	const placed: Label[] = [];
	const said = new Set<string>();
	strands.forEach(({ role, start, end, radiusMm }, s) => {
		const points = looked[s]!;
		const ends = [
			{ kind: start, at: points[0]! },
			{ kind: end, at: points.at(-1)! }
		];
		for (const { kind, at } of ends) {
			const text = (kind === 'standing' && words[role]) || END_WORDS[kind];
			// The two legs of a loop belong to one strand, and one word is enough.
			const once = `${s} ${text}`;
			if (!text || (kind === 'standing' && said.has(once))) continue;
			said.add(once);
			const box = room(
				at,
				radiusMm,
				text,
				high,
				(candidate) =>
					marked.some((mark) => overlaps(mark, candidate)) ||
					placed.some((label) => overlaps(label.box, candidate)) ||
					looked.some((line, i) => meets(line, strands[i]!.radiusMm + 0.2, candidate))
			);
			placed.push({ text, box, end: [at[0], at[1]] });
		}
	});
	return placed;
}

/** The room that the mark of an end takes up: the disc of a tag, the dashes of a standing end. */
function endBox(kind: EndKind, [x, y]: Vec3, [fromX, fromY]: Vec3, radius: number): Box[] {
	if (kind === 'object') return [];
	if (kind === 'tag') return [boxAround({ x, y, width: 0, height: 0 }, 1.3 * radius)];
	const length = Math.hypot(x - fromX, y - fromY) || 1;
	const [onX, onY] = [x + (DASHES_MM * (x - fromX)) / length, y + (DASHES_MM * (y - fromY)) / length];
	return [
		boxAround(
			{ x: Math.min(x, onX), y: Math.min(y, onY), width: Math.abs(onX - x), height: Math.abs(onY - y) },
			0.4
		)
	];
}
/** How long the dashes of a standing end are, mm. */
const DASHES_MM = 4.4;

/** The nearest free box for a word: above or below its end if possible, otherwise farther away. */
function room([x, y]: Vec3, radius: number, text: string, high: number, taken: (box: Box) => boolean): Box {
	const width = LETTER * high * text.length;
	for (let ring = 0; ring < 24; ring++) {
		const off = radius + STAND_OFF * high + 0.5 * ring * high;
		const around = [
			[x - width / 2, y - off - high],
			[x - width / 2, y + off],
			[x - width, y - off - high],
			[x - width, y + off],
			[x, y - off - high],
			[x, y + off],
			[x + off, y - high / 2],
			[x - off - width, y - high / 2]
		] as const;
		for (const [left, top] of around) {
			const box = { x: left, y: top, width, height: high };
			if (!taken(box)) return box;
		}
	}
	return { x, y: y - radius - 14 * high, width, height: high };
}

/** A box with so much room round it. */
export const boxAround = ({ x, y, width, height }: Box, by: number): Box => ({
	x: x - by,
	y: y - by,
	width: width + 2 * by,
	height: height + 2 * by
});

/** A box round boxes. */
export function boxRound(boxes: readonly Box[]): Box {
	const left = Math.min(...boxes.map(({ x }) => x));
	const top = Math.min(...boxes.map(({ y }) => y));
	const right = Math.max(...boxes.map(({ x, width }) => x + width));
	const bottom = Math.max(...boxes.map(({ y, height }) => y + height));
	return { x: left, y: top, width: right - left, height: bottom - top };
}

/** Between two arrowheads on a strand, and between the last and the end, mm. */
const APART_MM = 6.5;
const LAST_MM = 1.6;
/** How far an arrowhead stays away from where its strand passes under another, in widths of the strand. */
const CLEAR = 1.5;

/** Arrowheads along what is laid, where the strand isn't hidden: they show how its end moves. */
export function waysOf(
	strands: readonly KnotStrand[],
	laid: readonly Laid[],
	view: View,
	{ crossings }: KnotDrawing
): Mark[] {
	return laid.flatMap(({ strand, from, to }) => {
		const { points, radiusMm } = strands[strand]!;
		const [low, high] = [Math.min(from, to), Math.max(from, to)];
		const way = points.slice(low, high + 1).map((point) => seen(point, view));
		const onward = from < to ? way : way.reverse();
		const under = crossings
			.filter((crossing) => crossing.under.curve === strand)
			.map((crossing) => seen(pointNear(points, crossing.under.at), view));
		const clear = (x: number, y: number): number =>
			under.reduce((least, [ux, uy]) => Math.min(least, Math.hypot(ux - x, uy - y)), Infinity);
		const markAt = (i: number): Mark => {
			const [[ax, ay], [bx, by]] = [onward[i - 1]!, onward[i]!];
			return { x: bx, y: by, toward: degrees(bx - ax, by - ay), radius: radiusMm };
		};
		const marks: Mark[] = [];
		let left = LAST_MM;
		let clearest = { i: 1, by: 0 };
		// From the end backward, so that there is an arrowhead at the end.
		for (let i = onward.length - 1; i > 0; i--) {
			const [[ax, ay], [bx, by]] = [onward[i - 1]!, onward[i]!];
			left -= Math.hypot(bx - ax, by - ay);
			const free = clear(bx, by);
			if (free > clearest.by) clearest = { i, by: free };
			if (left > 0 || free < 2 * CLEAR * radiusMm) continue;
			marks.push(markAt(i));
			left = APART_MM;
		}
		// A stretch that is nearly everywhere under another strand gets its arrowhead where it is hidden least.
		return marks.length > 0 ? marks : [markAt(clearest.i)];
	});
}
const pointNear = (points: readonly Vec3[], at: number): Vec3 =>
	points[Math.min(Math.round(at), points.length - 1)]!;

/** Hands as they are seen. */
export const handMarksOf = (hands: readonly Hand[], view: View): HandMark[] =>
	hands.map(({ with: finger, at, along, pulls }) => {
		const [x, y] = seen(at, view);
		const [ax, ay] = seen(along, view);
		const pulled = pulls && seen(pulls, view);
		return {
			with: finger,
			x,
			y,
			radius: 1,
			toward: degrees(ax, ay),
			...(pulled && { pulls: degrees(pulled[0], pulled[1]) })
		};
	});
