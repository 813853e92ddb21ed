import { crossingsOf, type Crossing, type Curve } from './crossings';
import { add, alongOf, norm, scale, sub, type Vec3 } from './curve';
import { signatureOf } from './flaws';
import { nearestShares } from './segments';
import { alexander, gaussCode } from './invariants';
import type { KnotStrand } from './strand';

/** What the tests measure of a knot; nothing else needs it. */

/** |Δ(−1)|: 1 for the unknot, odd for every knot. */
export const knotDeterminant = (polynomial: readonly number[]): number =>
	Math.abs(polynomial.reduce((sum, c, i) => sum + (i % 2 === 0 ? c : -c), 0));

/** Invariants of one closed curve. */
export function knotOf(curve: Curve): {
	crossings: number;
	writhe: number;
	alexander: number[];
	determinant: number;
} {
	const crossings = crossingsOf([curve]);
	const polynomial = alexander(gaussCode(1, crossings)[0]!);
	return {
		crossings: crossings.length,
		writhe: writhe(crossings, 0),
		alexander: polynomial,
		determinant: knotDeterminant(polynomial)
	};
}

/** Whether two pictures show the same tying: nothing that can be pushed about makes a difference, this does. */
export const tiedAlike = (a: readonly KnotStrand[], b: readonly KnotStrand[]): boolean =>
	signatureOf(a) === signatureOf(b);

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
export function clearanceMm(strands: readonly KnotStrand[]): number {
	let least = Infinity;
	strands.forEach((a, i) => {
		for (let j = i; j < strands.length; j++) least = Math.min(least, clearance(a, strands[j]!, i === j));
	});
	return least;
}

function clearance(a: KnotStrand, b: KnotStrand, same: boolean): number {
	const apart = a.radiusMm + b.radiusMm;
	// Along one strand, what is nearer than a tight bend's half circle is the bend itself.
	const alongA = alongOf(a.points);
	const bend = Math.PI * a.radiusMm * 1.05;
	// Two pieces are no nearer than their beginnings less their lengths: most pairs need no more than that.
	const longest = longestPiece(alongA) + longestPiece(same ? alongA : alongOf(b.points));
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

/** Least distance of two segments. */
export function segmentDistance(p1: Vec3, q1: Vec3, p2: Vec3, q2: Vec3): number {
	const [d1, d2, r] = [sub(q1, p1), sub(q2, p2), sub(p1, p2)];
	const [s, t] = nearestShares(d1, d2, r);
	return norm(sub(add(p1, scale(d1, s)), add(p2, scale(d2, t))));
}

/** Sum of the signs where a curve crosses itself. */
export const writhe = (crossings: readonly Crossing[], curve: number): number =>
	crossings
		.filter(({ over, under }) => over.curve === curve && under.curve === curve)
		.reduce((sum, { sign }) => sum + sign, 0);
