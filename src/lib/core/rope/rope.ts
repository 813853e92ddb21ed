import { alongOf, lerp, type Vec3 } from '../knots/curve';
import { NODE_RADII } from '../knots/tight';

/** A strand before it is pulled. */
export interface RopeShape {
	readonly points: readonly Vec3[];
	readonly radiusMm: number;
	readonly closed: boolean;
	/** Held as it is: a line that is too stiff to be bent, an arbor. */
	readonly rigid?: boolean;
}

/**
 * Ropes as tubes round chains of nodes. A node is a point; the nodes of all ropes lie in one array, x, y, z by turns,
 * those of a rope one after the other. Between neighbours a rope keeps its spacing: it does not stretch.
 */
export interface Ropes {
	/** 3 × nodes, mm. */
	readonly at: Float64Array;
	/** How easily a node is moved: 1, or 0 where it is held. */
	readonly ease: Float64Array;
	/** Which rope a node belongs to. */
	readonly ropeOf: Int32Array;
	readonly ropes: readonly Rope[];
}

/** A rope of the many: its nodes run from `first`, `count` of them. `spacingMm` is what a piece wants to be long. */
export interface Rope {
	readonly first: number;
	readonly count: number;
	readonly radiusMm: number;
	readonly closed: boolean;
	spacingMm: number;
}

/**
 * Ropes along curves, with a node about every `spacingMm`, or as their thickness asks for.
 *
 * @throws RangeError for a curve of fewer than two points
 */
export function ropesAlong(shapes: readonly RopeShape[], spacingMm?: number): Ropes {
	const laid = shapes.map(({ points, closed, radiusMm }) =>
		evenly(points, closed, spacingMm ?? NODE_RADII * radiusMm)
	);
	const total = laid.reduce((sum, { points }) => sum + points.length, 0);
	const ropes: Rope[] = [];
	const [at, ease, ropeOf] = [new Float64Array(3 * total), new Float64Array(total), new Int32Array(total)];
	let first = 0;
	laid.forEach(({ points, spacingMm: spacing }, rope) => {
		const { radiusMm, closed, rigid } = shapes[rope]!;
		points.forEach((point, i) => {
			at.set(point, 3 * (first + i));
			ease[first + i] = rigid ? 0 : 1;
			ropeOf[first + i] = rope;
		});
		ropes.push({ first, count: points.length, radiusMm, closed, spacingMm: spacing });
		first += points.length;
	});
	return { at, ease, ropeOf, ropes };
}

/** Points on a polyline at even distances along it. */
export function evenly(
	points: readonly Vec3[],
	closed: boolean,
	spacingMm: number
): { points: Vec3[]; spacingMm: number } {
	if (points.length < 2) throw new RangeError(`a rope needs two points, got ${points.length}`);
	const way = closed ? [...points, points[0]!] : points;
	const along = alongOf(way);
	const length = along.at(-1)!;
	const pieces = Math.max(2, Math.round(length / spacingMm));
	const made: Vec3[] = [];
	let i = 0;
	for (let k = 0; k < (closed ? pieces : pieces + 1); k++) {
		const target = (length * k) / pieces;
		while (i < way.length - 2 && along[i + 1]! < target) i += 1;
		const share = Math.min(1, (target - along[i]!) / (along[i + 1]! - along[i]! || 1));
		made.push(lerp(way[i]!, way[i + 1]!, share));
	}
	return { points: made, spacingMm: length / pieces };
}

/** Moves a node so many times a step. */
export function shift(at: Float64Array, node: number, times: number, x: number, y: number, z: number): void {
	at[3 * node]! += times * x;
	at[3 * node + 1]! += times * y;
	at[3 * node + 2]! += times * z;
}

/** How far apart two nodes are, mm. */
export const apartMm = (at: Float64Array, i: number, j: number): number =>
	Math.sqrt(
		(at[3 * j]! - at[3 * i]!) ** 2 +
			(at[3 * j + 1]! - at[3 * i + 1]!) ** 2 +
			(at[3 * j + 2]! - at[3 * i + 2]!) ** 2
	);

/** Brings two nodes together, or apart, until so many mm are between them, each by its share. */
export function bringTo(at: Float64Array, ease: Float64Array, i: number, j: number, mm: number): void {
	const apart = apartMm(at, i, j) || 1e-12;
	const [x, y, z] = [0, 1, 2].map((d) => at[3 * j + d]! - at[3 * i + d]!) as [number, number, number];
	const by = (apart - mm) / (apart * (ease[i]! + ease[j]! || 1));
	shift(at, i, ease[i]! * by, x, y, z);
	shift(at, j, -ease[j]! * by, x, y, z);
}

/** The centre-line of a rope. */
export const centreLine = ({ at }: Ropes, { first, count }: Rope): Vec3[] =>
	Array.from({ length: count }, (_, i): Vec3 => {
		const o = 3 * (first + i);
		return [at[o]!, at[o + 1]!, at[o + 2]!];
	});
