import { lengthOf, lerp, smooth, type Vec3 } from './curve';
import type { EndKind, KnotStrand } from './strand';

/** A strand at one moment of tightening: its two ends in the picture, and every `every`-th node in between. */
export interface Lying {
	/** The number of the first node in `points`. A number means the same piece of the strand at every moment. */
	readonly first: number;
	readonly every: number;
	/** One end, the nodes, the other end. */
	readonly points: readonly Vec3[];
}
/** A knot while it is pulled tight: after so many movements of the hands; 0.67 is two thirds of the first. */
export interface TightMoment {
	readonly at: number;
	/** Where each strand is, in the order of the knot's; none for what stays as it is, an arbor, a tube. */
	readonly strands: readonly (Lying | undefined)[];
}

/** How a knot with so many wraps is pulled tight. */
export interface TightCurves {
	/** The moments that the stages show, or, where the knot is shown moving, those in between as well. In order. */
	readonly moments: readonly TightMoment[];
	/** How much of each strand is free of the knot when it is tight, at its start and at its end, mm: what can be cut off. */
	readonly spareMm: readonly (readonly [start: number, end: number])[];
}

/** Between two nodes of a strand, in its radii: a tight bend, a circle of its radius, is eight pieces. */
export const NODE_RADII = 0.8;

/** The files with curves. */
export type CurvesName =
	| 'overhand-stopper'
	| 'surgeons-loop'
	| 'surgeons-join'
	| 'double-uni'
	| 'blood-knot'
	| 'overhand-arbor'
	| 'uni-arbor'
	| 'albright'
	| 'loop-to-loop'
	| 'own-loop'
	| 'needle-nail-knot'
	| 'nail-knot';
/** For each number of wraps. */
export type CurvesByWraps = Readonly<Record<number, TightCurves>>;

/**
 * The curves as they are kept: in parts of a millimetre, x, y, z by turns, each point as its difference from the one
 * before it. Of each strand the number of its first node comes first.
 */
export type PackedCurves = Readonly<
	Record<
		string,
		{
			readonly perMm: number;
			readonly every: number;
			readonly spareMm: readonly (readonly number[])[];
			readonly moments: readonly {
				readonly at: number;
				readonly strands: readonly (readonly number[] | null)[];
			}[];
		}
	>
>;

/** @param perMm how finely they are kept */
export const packed = (curves: CurvesByWraps, perMm: number): PackedCurves =>
	Object.fromEntries(
		Object.entries(curves).map(([wraps, { moments, spareMm }]) => [
			wraps,
			{
				perMm,
				every: moments.flatMap(({ strands }) => strands).find((lying) => lying)?.every ?? 1,
				spareMm: spareMm.map((ends) => ends.map((mm) => Math.round(10 * mm) / 10)),
				moments: moments.map(({ at, strands }) => ({
					at: Math.round(100 * at) / 100,
					strands: strands.map((lying) => (lying ? [lying.first, ...stepsOf(lying.points, perMm)] : null))
				}))
			}
		])
	);

export const unpacked = (kept: PackedCurves): CurvesByWraps =>
	Object.fromEntries(
		Object.entries(kept).map(([wraps, { moments, spareMm, perMm, every }]) => [
			Number(wraps),
			{
				spareMm: spareMm.map(([start = 0, end = 0]) => [start, end] as const),
				moments: moments.map(({ at, strands }) => ({
					at,
					strands: strands.map((steps) =>
						steps ? { first: steps[0]!, every, points: pointsOf(steps, perMm) } : undefined
					)
				}))
			}
		])
	);

function stepsOf(points: readonly Vec3[], perMm: number): number[] {
	const whole = points.map((point) => point.map((mm) => Math.round(perMm * mm)));
	return whole.flatMap((point, i) => point.map((at, d) => at - (whole[i - 1]?.[d] ?? 0)));
}

function pointsOf(steps: readonly number[], perMm: number): Vec3[] {
	const points: Vec3[] = [];
	let [x, y, z] = [0, 0, 0];
	for (let i = 1; i < steps.length; i += 3) {
		[x, y, z] = [x + steps[i]!, y + steps[i + 1]!, z + steps[i + 2]!];
		points.push([x / perMm, y / perMm, z / perMm]);
	}
	return points;
}

/** The curves of the stages together with those of the way between them. */
export const withWay = (stages: CurvesByWraps, way: CurvesByWraps): CurvesByWraps =>
	Object.fromEntries(
		Object.entries(stages).map(([wraps, curves]) => [
			wraps,
			{
				...curves,
				moments: [...curves.moments, ...(way[Number(wraps)]?.moments ?? [])].sort((a, b) => a.at - b.at)
			}
		])
	);

/** How far a tied knot is tightened: movements of the hands that are made (`tight`); what is cut off (`trim`), 0–1. */
export interface Tightness {
	readonly tight: number;
	readonly trim: number;
}
export const LOOSE: Tightness = { tight: 0, trim: 0 };
/** So far an end stands out that has been trimmed, mm. */
const STUMP_MM = 1.6;

/**
 * Strands as they lie after so many movements of the hands, and trimmed: at a moment that is kept, or between two.
 *
 * @throws RangeError without curves, where they are tight
 */
export function tightened(
	loose: readonly KnotStrand[],
	curves: TightCurves | undefined,
	{ tight, trim }: Tightness
): readonly KnotStrand[] {
	if (tight === 0) return loose;
	if (!curves) throw new RangeError('a tight stage needs the curves of its knot');
	const { moments, spareMm } = curves;
	const next = moments.findIndex(({ at }) => at > tight - SAME);
	const [before, after] = [moments[Math.max(0, next - 1)]!, moments[next] ?? moments.at(-1)!];
	const share = after.at - tight < SAME ? 1 : (tight - before.at) / (after.at - before.at);
	return loose.map((strand, s) => {
		const [from, to] = [before.strands[s], after.strands[s]];
		if (!from || !to) return strand;
		const points = share === 1 ? to.points : lyingBetween(from, to, share);
		const [start, end] = spareMm[s] ?? [0, 0];
		const cut = (kind: EndKind, spare: number): number =>
			kind === 'tag' ? trim * Math.max(0, spare - STUMP_MM) : 0;
		const shortened = without(smooth(points, strand), cut(strand.end, end));
		return {
			...strand,
			points: without([...shortened].reverse(), cut(strand.start, start)).reverse()
		};
	});
}
/** Moments that are nearer to each other than this are the same: `at` is kept to two decimals. */
const SAME = 0.006;

/** A strand between two moments. Nodes go straight from one to the next: moments are so close that this cuts no bend. */
function lyingBetween(from: Lying, to: Lying, share: number): Vec3[] {
	const every = Math.max(from.every, to.every);
	const node = ({ first, every: step, points }: Lying, n: number): Vec3 => points[1 + (n - first) / step]!;
	const last = ({ first, every: step, points }: Lying): number => first + step * (points.length - 3);
	const points: Vec3[] = [lerp(from.points[0]!, to.points[0]!, share)];
	const begin = every * Math.ceil(Math.max(from.first, to.first) / every);
	for (let n = begin; n <= Math.min(last(from), last(to)); n += every)
		points.push(lerp(node(from, n), node(to, n), share));
	return [...points, lerp(from.points.at(-1)!, to.points.at(-1)!, share)];
}

/**
 * Where a place on a loose strand, given as a share of its length from its start, is after so many movements.
 * Undefined where it has left the picture.
 */
export function nodeAt(
	{ moments }: TightCurves,
	made: number,
	strand: number,
	share: number,
	{ points: loose, radiusMm }: KnotStrand
): Vec3 | undefined {
	const moment = moments.find(({ at }) => Math.abs(at - made) < SAME);
	const lying = moment?.strands[strand];
	const node = Math.round((share * lengthOf(loose)) / (NODE_RADII * radiusMm));
	return lying && lying.points.slice(1, -1)[Math.round((node - lying.first) / lying.every)];
}

/** A curve without so many mm of its end. */
function without(points: readonly Vec3[], mm: number): Vec3[] {
	if (mm === 0) return [...points];
	let left = mm;
	for (let i = points.length - 1; i > 0; i--) {
		const [a, b] = [points[i - 1]!, points[i]!];
		const length = Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]);
		if (length > left) {
			const t = 1 - left / length;
			return [
				...points.slice(0, i),
				[a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1]), a[2] + t * (b[2] - a[2])]
			];
		}
		left -= length;
	}
	return points.slice(0, 2);
}
