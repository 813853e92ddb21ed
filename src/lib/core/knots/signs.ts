import { alongOf, lengthOf, norm, scale, sub, type Vec3 } from './curve';
import type { Grip } from './hands';
import type { KnotStrand } from './strand';
import { nodeAt, type TightCurves } from './tight';

/** A hand on a strand: where, how the strand lies there, and which way it is pulled; held still without that. */
export interface Hand {
	/** Two fingers on a strand, or a thumb on what is laid. */
	readonly with: 'fingers' | 'thumb';
	readonly at: Vec3;
	readonly along: Vec3;
	readonly pulls?: Vec3;
}
/** A place of a loose strand that a thumb is on: a share of its length as it is drawn. */
export interface Thumb {
	readonly strand: number;
	readonly share: number;
}
/** A stretch of a strand that was laid in this stage, in the direction in which its end went. */
export interface Laid {
	readonly strand: number;
	/** Indices of its points. */
	readonly from: number;
	readonly to: number;
}

/** The hands at a tight stage: what they hold and pull in the movements from the stage before to this one. */
export function handsOn(
	strands: readonly KnotStrand[],
	loose: readonly KnotStrand[],
	curves: TightCurves,
	made: number,
	grips: readonly Grip[],
	trimmed: boolean
): Hand[] {
	const hands = new Map<string, Hand>();
	for (const grip of grips) {
		const { role, radiusMm } = loose[grip.strand]!;
		const strand = strands.find((one) => one.role === role && one.radiusMm === radiusMm);
		const end = grip.share < END ? strand?.start : grip.share > 1 - END ? strand?.end : undefined;
		if (!strand || (trimmed && end === 'tag')) continue;
		const { points } = strand;
		const at = end
			? grip.share < END
				? inward(points)
				: inward([...points].reverse())
			: (nodeAt(curves, made, grip.strand, grip.share, loose[grip.strand]!) ?? points[0]!);
		const still = norm(grip.toward) === 0;
		const key = `${grip.strand} ${grip.share}`;
		// What is held in one movement and pulled in another is pulled.
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
/** Of a strand's length: nearer to an end than that is the end. */
const END = 0.02;
/** How far within the picture an end is held, mm. */
const INWARD_MM = 2;

function inward(points: readonly Vec3[]): Vec3 {
	const along = alongOf(points);
	return points[
		Math.max(
			0,
			along.findIndex((mm) => mm >= INWARD_MM)
		)
	]!;
}

function alongAt(points: readonly Vec3[], at: Vec3): Vec3 {
	const nearest = points.reduce(
		(best, p, i) => (norm(sub(p, at)) < norm(sub(points[best]!, at)) ? i : best),
		0
	);
	const ahead = sub(points[Math.min(nearest + 1, points.length - 1)]!, points[Math.max(nearest - 1, 0)]!);
	return scale(ahead, 1 / (norm(ahead) || 1));
}

/** The thumbs at a loose stage. */
export const thumbsOn = (strands: readonly KnotStrand[], thumbs: readonly Thumb[]): Hand[] =>
	thumbs.map(({ strand, share }) => {
		const { points } = strands[strand]!;
		const along = alongOf(points);
		const at = points[along.findIndex((mm) => mm >= share * along.at(-1)!)]!;
		return { with: 'thumb', at, along: alongAt(points, at) };
	});

/** What lay within so many radii before lies there still. */
const SAME_PLACE = 1;
/** A shorter stretch is no way, mm. */
const SHORT_MM = 5;

/**
 * What was laid since the stage before: of each strand that has a free end or a fold, the stretch that lies where
 * nothing of it lay. At the first stage that is all of what is bent.
 */
export function laidSince(before: readonly KnotStrand[] | undefined, strands: readonly KnotStrand[]): Laid[] {
	return strands.flatMap(({ role, radiusMm, points, start, end }, s): Laid[] => {
		if (start !== 'tag' && end !== 'tag') return [];
		if (points.length < 3) return [];
		const was = before?.filter((one) => one.role === role && one.radiusMm === radiusMm);
		if (before && was!.length === 0) return [];
		const lay = was?.flatMap((one) => one.points) ?? [];
		const fresh = points.map((p) => !lay.some((q) => norm(sub(p, q)) < SAME_PLACE * radiusMm));
		const [first, last] = [fresh.indexOf(true), fresh.lastIndexOf(true)];
		if (first < 0 || lengthOf(points.slice(first, last + 1)) < SHORT_MM) return [];
		// Of a fold, which has no end in the stretch, one strand shows the way, as far as the fold.
		if (last < points.length - 1 && end === 'tag')
			return first === 0 ? [] : [{ strand: s, from: first, to: Math.round((first + last) / 2) }];
		if (start === 'tag' && first === 0) return [{ strand: s, from: last, to: first }];
		return [{ strand: s, from: first, to: last }];
	});
}
