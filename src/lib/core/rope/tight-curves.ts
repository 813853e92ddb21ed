import { alongOf, directionAt, dot, norm, sub, type Vec3 } from '../knots/curve';
import type { Peg } from '../knots/hands';
import type { Knot } from '../knots/knot';
import type { KnotStrand } from '../knots/strand';
import type { Lying, TightCurves, TightMoment } from '../knots/tight';
import { farthest, tighten, type Tightened } from './tighten';

/** Where in the first movement a moment is kept beside those at the movements' ends. */
const MIDST = 2 / 3;
/** So much of a short end is in the picture, in radii. */
const TAG_RADII = 10;
/** In diameters: how near is touching, and how near is still beside something. */
const TOUCHING = 1.15;
const BESIDE = 1.6;

/** In between the stages: how far a node may move from one moment to the next, mm, and every which node is kept. */
const WAY_MM = 1.5;
const WAY_EVERY = 2;

/** The moments that a knot's stages show, and those in between, which show it while it is pulled tight. */
export interface TightCurvesAndWay {
	readonly stages: TightCurves;
	readonly way: TightCurves;
}

/**
 * Pulls a loose knot tight with its own movements.
 *
 * @throws RangeError for a knot without movements, and where strands would pass through one another
 */
export function tightCurvesOf({ tightening }: Knot, wraps: number): TightCurvesAndWay {
	if (!tightening) throw new RangeError('this knot is not tightened');
	const loose = tightening.loose(wraps);
	const movements = tightening.movements(loose, wraps);
	const stays = (i: number): boolean =>
		(loose[i]!.start === 'object' && loose[i]!.end === 'object') || (tightening.still ?? []).includes(i);
	const posts = loose.filter(isPost).map(postOf);
	// A post pushes by itself; it is no rope.
	const strands = loose.map((strand, i) => ({ strand, i })).filter(({ strand }) => !isPost(strand));
	const place = new Map(strands.map(({ i }, k) => [i, k]));
	const asked = movements.map((movement) => ({
		...movement,
		grips: movement.grips.map((grip) => ({ ...grip, strand: place.get(grip.strand)! }))
	}));
	const tightened = tighten(
		strands.map(({ strand, i }) => ({ ...strand, rigid: stays(i) })),
		asked,
		posts
	);
	const linesAt = (moment: number): Line[] =>
		strands.map(({ strand }, k) => ({ points: tightened.moments[moment]![k]!, radiusMm: strand.radiusMm }));
	const spareAt = (moment: number): (readonly [start: number, end: number])[] =>
		strands.map((_, k) => spareEnds(linesAt(moment), k, BESIDE));
	const looseSpare = spareAt(0);
	const kept = ({ at, moment }: Pick, every: number): TightMoment => {
		const spare = spareAt(moment);
		const lying = loose.map((strand, i) => {
			const k = place.get(i);
			if (k === undefined || stays(i)) return undefined;
			// A tag that is cut short in the picture later is whole at first, and shrinks.
			const shown = (side: 0 | 1): number => {
				const tag = TAG_RADII * strand.radiusMm;
				return tag + Math.max(0, 1 - at / MIDST) * Math.max(0, looseSpare[k]![side] - tag);
			};
			const over = [spare[k]![0] - shown(0), spare[k]![1] - shown(1)] as const;
			return inPicture(strand, tightened.moments[moment]![k]!, over, every);
		});
		return { at, strands: lying };
	};
	const last = linesAt(tightened.moments.length - 1);
	const spareMm = loose.map(({ radiusMm }, i): readonly [number, number] => {
		const k = place.get(i);
		if (k === undefined) return [0, 0];
		const [[atStart, atEnd], [wideStart, wideEnd]] = [
			spareEnds(last, k, TOUCHING),
			spareEnds(last, k, BESIDE)
		];
		// What is out of the picture can't be cut off in it.
		const tag = TAG_RADII * radiusMm;
		return [atStart - Math.max(0, wideStart - tag), atEnd - Math.max(0, wideEnd - tag)];
	});
	const curvesAt = (picks: readonly Pick[], every: number): TightCurves => ({
		moments: picks.map((pick) => kept(pick, every)),
		spareMm
	});
	return { stages: curvesAt(shown(tightened), 1), way: curvesAt(onWay(tightened), WAY_EVERY) };
}

/** The centre-line of a strand, and how thick it is. */
interface Line {
	readonly points: readonly Vec3[];
	readonly radiusMm: number;
}

const isPost = ({ role, closed }: KnotStrand): boolean => role === 'arbor' && closed;
function postOf({ points, radiusMm }: KnotStrand): Peg {
	const middle = (d: 0 | 1): number => points.reduce((sum, p) => sum + p[d], 0) / points.length;
	const [x, y] = [middle(0), middle(1)];
	return { x, y, radiusMm: Math.hypot(points[0]![0] - x, points[0]![1] - y) + radiusMm };
}

/** A moment of the pulling, and how many movements it stands for. */
interface Pick {
	readonly at: number;
	readonly moment: number;
}
/** A moment in the midst of the first movement, and the end of each. */
const shown = ({ marks }: Tightened): Pick[] => [
	{ at: MIDST, moment: Math.round(MIDST * marks[1]!) },
	...marks.slice(1).map((moment, i) => ({ at: i + 1, moment }))
];
/** The loose knot, and moments within each movement. */
function onWay({ marks, moments }: Tightened): Pick[] {
	const flat = moments.map((ropes) => Float64Array.from(ropes.flat(2)));
	const picks: Pick[] = [{ at: 0, moment: 0 }];
	marks.slice(1).forEach((to, i) => {
		const from = marks[i]!;
		let last = from;
		for (let moment = from + 1; moment < to; moment++) {
			if (farthest(flat[last]!, flat[moment + 1]!) < WAY_MM) continue;
			picks.push({ at: i + (moment - from) / (to - from), moment });
			last = moment;
		}
	});
	return picks;
}

/**
 * What is in the picture: a standing end goes out of it where it did at first; of a short end that has been pulled out
 * long, so much is left away at its start and its end.
 */
function inPicture(
	{ points: loose, start, end }: KnotStrand,
	now: readonly Vec3[],
	[overStart, overEnd]: readonly [number, number],
	every: number
): Lying {
	const [first, last] = [loose[0]!, loose.at(-1)!];
	const spacing = norm(sub(now[1]!, now[0]!));
	let from = start === 'tag' ? Math.max(0, Math.floor(overStart / spacing)) : 0;
	let to = now.length - 1 - (end === 'tag' ? Math.max(0, Math.floor(overEnd / spacing)) : 0);
	const [cutsStart, cutsEnd] = [start !== 'tag', end !== 'tag'];
	if (cutsStart) while (from < to - 1 && !within(first, loose[1]!, now[from]!)) from += 1;
	if (cutsEnd) while (to > from + 1 && !within(last, loose.at(-2)!, now[to]!)) to -= 1;
	const firstKept = every * Math.ceil((from + 1) / every);
	const nodes: Vec3[] = [];
	for (let n = firstKept; n < to; n += every) nodes.push(now[n]!);
	const startsAt = cutsStart && from > 0 ? cutAt(now[from - 1]!, now[from]!, first[0]) : now[from]!;
	const endsAt = cutsEnd && to < now.length - 1 ? cutAt(now[to + 1]!, now[to]!, last[0]) : now[to]!;
	return { first: firstKept, every, points: [startsAt, ...nodes, endsAt] };
}

/** Whether a place is on this side of an end that leaves to the left or to the right. */
const within = (end: Vec3, before: Vec3, p: Vec3): boolean =>
	end[0] < before[0] ? p[0] >= end[0] - 1e-9 : p[0] <= end[0] + 1e-9;

/** Where a piece crosses an upright plane. */
function cutAt(outside: Vec3, inside: Vec3, x: number): Vec3 {
	const t = (x - outside[0]) / (inside[0] - outside[0] || 1);
	return [x, outside[1] + t * (inside[1] - outside[1]), outside[2] + t * (inside[2] - outside[2])];
}

/** How much of a strand is free of the knot, at its start and at its end, mm. */
function spareEnds(lines: readonly Line[], k: number, near: number): [start: number, end: number] {
	const own = lines[k]!;
	const others = lines.filter((line) => line !== own);
	return [spare({ ...own, points: [...own.points].reverse() }, others, near), spare(own, others, near)];
}

/**
 * How long the end of a strand is before another stretch of strand crosses it within so many diameters. A stretch that
 * runs alongside is not the knot yet: an end can lie along the standing part.
 */
function spare(own: Line, others: readonly Line[], near: number): number {
	const along = alongOf(own.points);
	// What is so near along the same strand is its bend.
	const bend = Math.ceil((2 * Math.PI * own.radiusMm) / along[1]!);
	const touches = (i: number, { points, radiusMm }: Line, j: number): boolean =>
		norm(sub(own.points[i]!, points[j]!)) < near * (own.radiusMm + radiusMm) &&
		Math.abs(dot(directionAt(own.points, i), directionAt(points, j))) < ALONGSIDE;
	for (let i = own.points.length - 1; i > 0; i--) {
		const itself = own.points.some((_, j) => Math.abs(i - j) > bend && touches(i, own, j));
		if (itself || others.some((other) => other.points.some((_, j) => touches(i, other, j))))
			return along.at(-1)! - along[i]!;
	}
	return along.at(-1)!;
}
/** The cosine of the angle from which on two stretches run alongside each other. */
const ALONGSIDE = 0.9;
