import type { Role } from '../fit/stack';
import { segmentDistance, smooth, type Vec3 } from './curve';

/** What a strand is; it gives its colour and texture. A tool or a spool is an object, not a strand that is tied. */
export type StrandRole = Role | 'tippet' | 'tool' | 'arbor';
/** Where an end goes: on to the reel or the fish, cut off, into a loop that goes on, or nowhere (an object's). */
export type EndKind = 'standing' | 'tag' | 'loop' | 'object';

export interface Strand {
	readonly role: StrandRole;
	readonly radiusMm: number;
	readonly closed: boolean;
	readonly start: EndKind;
	readonly end: EndKind;
	readonly points: readonly Vec3[];
}

/** A strand through control points. Diagrams are drawn large: a millimetre here is a strand's radius, about. */
export const strand = (
	role: StrandRole,
	radiusMm: number,
	control: readonly Vec3[],
	ends: { start: EndKind; end: EndKind; closed?: boolean }
): Strand => ({
	role,
	radiusMm,
	closed: ends.closed ?? false,
	start: ends.start,
	end: ends.end,
	points: smooth(control, { closed: ends.closed ?? false })
});

/** Points of a helix round the x axis, `perTurn` to a turn, the first and the last included. */
export function helix(
	from: { x: number; angle: number },
	to: { x: number; angle: number },
	radius: number,
	perTurn = 10
): Vec3[] {
	const count = Math.max(2, Math.ceil((Math.abs(to.angle - from.angle) / (2 * Math.PI)) * perTurn));
	return Array.from({ length: count + 1 }, (_, i): Vec3 => {
		const t = i / count;
		return around(from.x + t * (to.x - from.x), from.angle + t * (to.angle - from.angle), radius);
	});
}

/** A point at an angle about the x axis: 0 toward whoever looks, a quarter turn up. */
export const around = (x: number, angle: number, radius: number): Vec3 => [
	x,
	radius * Math.sin(angle),
	radius * Math.cos(angle)
];

/** How many times a strand winds about the x axis, from the angle it turns through; signed. */
export function windings(points: readonly Vec3[]): number {
	let total = 0;
	for (let i = 1; i < points.length; i++) {
		const [a, b] = [points[i - 1]!, points[i]!];
		const turn = Math.atan2(b[1], b[2]) - Math.atan2(a[1], a[2]);
		total += turn - 2 * Math.PI * Math.round(turn / (2 * Math.PI));
	}
	return total / (2 * Math.PI);
}

/** Room left between strands: the least distance of their surfaces, mm; below 0 they pass through one another. */
export function clearanceMm(strands: readonly Strand[]): number {
	let least = Infinity;
	strands.forEach((a, i) => {
		for (let j = i; j < strands.length; j++) least = Math.min(least, clearance(a, strands[j]!, i === j));
	});
	return least;
}

function clearance(a: Strand, b: Strand, same: boolean): number {
	const apart = a.radiusMm + b.radiusMm;
	// Along one strand, what is nearer than a tight bend's half circle is the bend itself.
	const alongA = distances(a.points);
	const bend = Math.PI * a.radiusMm * 1.05;
	// Two pieces are no nearer than their beginnings less their lengths: most pairs need no more than that.
	const longest = longestPiece(alongA) + longestPiece(same ? alongA : distances(b.points));
	let least = Infinity;
	for (let i = 0; i + 1 < a.points.length; i++)
		for (let j = same ? i + 2 : 0; j + 1 < b.points.length; j++) {
			const [p, q] = [a.points[i]!, b.points[j]!];
			if (Math.abs(p[0] - q[0]) > least + apart + longest) continue;
			if (Math.abs(p[1] - q[1]) > least + apart + longest) continue;
			if (Math.abs(p[2] - q[2]) > least + apart + longest) continue;
			if (same && alongA[j]! - alongA[i + 1]! < bend) continue;
			if (same && a.closed && alongA.at(-1)! - alongA[j + 1]! + alongA[i]! < bend) continue;
			const distance = segmentDistance(p, a.points[i + 1]!, q, b.points[j + 1]!);
			least = Math.min(least, distance - apart);
		}
	return least;
}

const longestPiece = (along: readonly number[]): number =>
	along.reduce((most, at, i) => (i === 0 ? 0 : Math.max(most, at - along[i - 1]!)), 0);

function distances(points: readonly Vec3[]): number[] {
	const along = [0];
	for (let i = 1; i < points.length; i++) {
		const [a, b] = [points[i - 1]!, points[i]!];
		along.push(along[i - 1]! + Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]));
	}
	return along;
}
