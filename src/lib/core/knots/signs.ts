import { alongOf, directionAt, lengthOf, norm, sub, type Vec3 } from './curve';
import type { Movement } from './hands';
import type { KnotStrand } from './strand';
import { nodeAt, type TightCurves } from './tight';

/** A hand on a strand. */
export interface Hand {
	/** Two fingers that hold a strand, or a thumb on its wraps. */
	readonly with: 'fingers' | 'thumb';
	readonly at: Vec3;
	/** The direction of the strand there. */
	readonly along: Vec3;
	/** Which way the hand pulls. A hand without it only holds. */
	readonly pulls?: Vec3;
}
/** Where a thumb is on a loose strand: a share of the length that is drawn. */
export interface Thumb {
	readonly strand: number;
	readonly share: number;
}
/** A stretch of a strand that is laid in this stage, in the direction in which its end moves. */
export interface Laid {
	readonly strand: number;
	/** Indices of its points. */
	readonly from: number;
	readonly to: number;
}

/** A tight stage: its strands, the loose ones they come from, and the movements that have been made by then. */
export interface Tightening {
	readonly strands: readonly KnotStrand[];
	readonly loose: readonly KnotStrand[];
	readonly curves: TightCurves;
	readonly movements: readonly Movement[];
	readonly made: number;
	readonly trimmed: boolean;
}

/**
 * The hands at a tight stage: those of the movements since the stage before, or of the last one where there is none.
 *
 * @param madeBefore how many movements had been made at the stage before
 */
export function handsOn(
	{ strands, loose, curves, movements, made, trimmed }: Tightening,
	madeBefore: number
): Hand[] {
	const since = Math.min(Math.floor(madeBefore), Math.ceil(made) - 1);
	const grips = movements.slice(since, Math.ceil(made)).flatMap((movement) => movement.grips);
	const hands = new Map<string, Hand>();
	for (const grip of grips) {
		const { role, radiusMm } = loose[grip.strand]!;
		const strand = strands.findLast((one) => one.role === role && one.radiusMm === radiusMm);
		const end = grip.share < END ? strand?.start : grip.share > 1 - END ? strand?.end : undefined;
		if (!strand || (trimmed && end === 'tag')) continue;
		const { points } = strand;
		const at = end
			? inward(grip.share < END ? points : [...points].reverse())
			: (nodeAt(curves, made, grip.strand, grip.share, loose[grip.strand]!) ?? points[0]!);
		const still = norm(grip.toward) === 0;
		const key = `${grip.strand} ${grip.share}`;
		// A place that is held in one movement and pulled in another is shown pulled.
		if (still && hands.has(key)) continue;
		hands.set(key, {
			with: 'fingers',
			at,
			along: alongAt(points, at),
			...(!still && { pulls: grip.toward })
		});
	}
	return [...hands.values()];
}
/** A share of a strand's length: a grip nearer to the end than this is on the end. */
const END = 0.02;
/** How far within the picture an end is held, mm. */
const INWARD_MM = 2;

function inward(points: readonly Vec3[]): Vec3 {
	const along = alongOf(points);
	return points[along.findIndex((mm) => mm >= INWARD_MM)] ?? points[0]!;
}

function alongAt(points: readonly Vec3[], at: Vec3): Vec3 {
	const nearest = points.reduce(
		(best, p, i) => (norm(sub(p, at)) < norm(sub(points[best]!, at)) ? i : best),
		0
	);
	return directionAt(points, nearest);
}

/** The thumbs at a loose stage. */
export const thumbsOn = (strands: readonly KnotStrand[], thumbs: readonly Thumb[]): Hand[] =>
	thumbs.map(({ strand, share }) => {
		const { points } = strands[strand]!;
		const along = alongOf(points);
		const at = points[along.findIndex((mm) => mm >= share * along.at(-1)!)]!;
		return { with: 'thumb', at, along: alongAt(points, at) };
	});

/** A point that is within so many radii of where its strand lay in the stage before has not moved. */
const SAME_PLACE = 1;
/** A stretch that is shorter than this gets no arrows, mm. */
const SHORT_MM = 5;

/**
 * What is laid in a stage: of each strand with a tag, the stretch that lies where that strand did not lie in the stage
 * before. In the first stage that is the whole strand. A straight line that only lies there is left out.
 */
export function laidSince(before: readonly KnotStrand[] | undefined, strands: readonly KnotStrand[]): Laid[] {
	return strands.flatMap(({ role, radiusMm, points, start, end }, s): Laid[] => {
		if (start !== 'tag' && end !== 'tag') return [];
		if (points.length < 3) return [];
		const lay = (before ?? [])
			.filter((one) => one.role === role && one.radiusMm === radiusMm)
			.flatMap((one) => one.points);
		const fresh = points.map((p) => !lay.some((q) => norm(sub(p, q)) < SAME_PLACE * radiusMm));
		const [first, last] = [fresh.indexOf(true), fresh.lastIndexOf(true)];
		if (first < 0 || lengthOf(points.slice(first, last + 1)) < SHORT_MM) return [];
		// A fold moves: its first strand shows the way, as far as the fold.
		if (last < points.length - 1 && end === 'tag')
			return first === 0 ? [] : [{ strand: s, from: first, to: Math.round((first + last) / 2) }];
		if (start === 'tag' && end !== 'tag' && first === 0) return [{ strand: s, from: last, to: first }];
		return [{ strand: s, from: first, to: last }];
	});
}
