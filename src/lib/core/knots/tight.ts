import { smooth, type Vec3 } from './curve';
import type { EndKind, KnotStrand } from './strand';

/** A knot while it is pulled tight: after so many movements of the hands; 0.67 is two thirds of the first. */
export interface TightMoment {
	readonly at: number;
	/** Where each strand is, in the order of the knot's; none for what stays as it is, an arbor, a tube. */
	readonly strands: readonly (readonly Vec3[] | undefined)[];
}

/** How a knot with so many wraps is pulled tight. */
export interface TightCurves {
	readonly moments: readonly TightMoment[];
	/** How much of each strand is free of the knot when it is tight, at its start and at its end, mm: what can be cut off. */
	readonly spareMm: readonly (readonly [start: number, end: number])[];
}

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
 * The curves as they are kept: hundredths of a millimetre, x, y, z by turns, each point as its difference from the one
 * before it.
 */
export type PackedCurves = Readonly<
	Record<
		string,
		{
			readonly spareMm: readonly (readonly number[])[];
			readonly moments: readonly {
				readonly at: number;
				readonly strands: readonly (readonly number[] | null)[];
			}[];
		}
	>
>;
const PER_MM = 100;

export const packed = (curves: CurvesByWraps): PackedCurves =>
	Object.fromEntries(
		Object.entries(curves).map(([wraps, { moments, spareMm }]) => [
			wraps,
			{
				spareMm: spareMm.map((ends) => ends.map((mm) => Math.round(10 * mm) / 10)),
				moments: moments.map(({ at, strands }) => ({
					at: Math.round(100 * at) / 100,
					strands: strands.map((points) => (points ? stepsOf(points) : null))
				}))
			}
		])
	);

export const unpacked = (kept: PackedCurves): CurvesByWraps =>
	Object.fromEntries(
		Object.entries(kept).map(([wraps, { moments, spareMm }]) => [
			Number(wraps),
			{
				spareMm: spareMm.map(([start = 0, end = 0]) => [start, end] as const),
				moments: moments.map(({ at, strands }) => ({
					at,
					strands: strands.map((steps) => (steps ? pointsOf(steps) : undefined))
				}))
			}
		])
	);

function stepsOf(points: readonly Vec3[]): number[] {
	const whole = points.map((point) => point.map((mm) => Math.round(PER_MM * mm)));
	return whole.flatMap((point, i) => point.map((at, d) => at - (whole[i - 1]?.[d] ?? 0)));
}

function pointsOf(steps: readonly number[]): Vec3[] {
	const points: Vec3[] = [];
	let [x, y, z] = [0, 0, 0];
	for (let i = 0; i < steps.length; i += 3) {
		[x, y, z] = [x + steps[i]!, y + steps[i + 1]!, z + steps[i + 2]!];
		points.push([x / PER_MM, y / PER_MM, z / PER_MM]);
	}
	return points;
}

/** How far a tied knot is tightened: movements of the hands that are made (`tight`); what is cut off (`trim`), 0–1. */
export interface Tightness {
	readonly tight: number;
	readonly trim: number;
}
export const LOOSE: Tightness = { tight: 0, trim: 0 };
/** So far an end stands out that has been trimmed, mm. */
const STUMP_MM = 1.6;

/**
 * Strands as they lie after so many movements of the hands, at the moment nearest to that, and trimmed.
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
	const nearest = moments.reduce((best, moment) =>
		Math.abs(moment.at - tight) < Math.abs(best.at - tight) ? moment : best
	);
	return loose.map((strand, s) => {
		const points = nearest.strands[s];
		if (!points) return strand;
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
