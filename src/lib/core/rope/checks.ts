import { seededRandom } from '../numeric/random';
import { alongOf, lengthOf, norm, sub, type Vec3 } from '../knots/curve';
import { contactsOf, leastApartMm, openBends, pushApart } from './contacts';
import { keepLengths } from './lengths';
import { centreLine, ropesAlong, type Rope } from './rope';

/** Nodes round the knot. */
const NODES = 100;
/** By how much the rope is shortened in a step at first, as a share; below the other it is as short as it gets. */
const SHORTER = 0.004;
const SHORTEST = 2e-5;
/** Overlap that is left after a step, mm, of a rope 1 mm thick; rounds that a step may take to get there. */
const LEFT_MM = 0.003;
const ROUNDS = 400;
/** A little unrest, so that it does not stay where it is only balanced, mm. */
const UNREST_MM = 0.02;

/**
 * A closed knot made as short as its thickness allows: the rope is shortened a little, what overlaps is pushed apart, and
 * so on until it no longer gives (P. Pieranski, In search of ideal knots, 1998: shrink on no overlaps). Without bending
 * stiffness and friction. Returns its length in diameters of the thickest tube that fits round it as it then lies.
 */
export function ropelengthOf(loose: readonly Vec3[]): number {
	const length = lengthOf([...loose, loose[0]!]);
	const ropes = ropesAlong([{ points: loose, radiusMm: 0.5, closed: true }], length / NODES);
	const [rope] = ropes.ropes as [Rope];
	const random = seededRandom(1);
	let [best, share, step] = [Infinity, SHORTER, 0];
	while (share > SHORTEST) {
		rope.spacingMm *= 1 - share;
		for (let i = 0; i < ropes.at.length; i++)
			ropes.at[i]! += Math.min(UNREST_MM, 10 * share) * (random.uniform() - 0.5);
		const contacts = contactsOf(ropes, 0.3);
		let into = Infinity;
		for (let k = 0; k < ROUNDS && into > LEFT_MM; k++) {
			keepLengths(ropes);
			const bent = openBends(ropes);
			into = Math.max(bent, pushApart(ropes, contacts, ropes.at, 0));
		}
		if (into > LEFT_MM) {
			rope.spacingMm /= 1 - share;
			share *= 0.8;
		}
		if (step++ % 25 === 0) best = Math.min(best, lengthInDiameters(centreLine(ropes, rope)));
	}
	return Math.min(best, lengthInDiameters(centreLine(ropes, rope)));
}

/** Length of a closed curve over the diameter of the thickest tube round it that touches itself nowhere. */
export function lengthInDiameters(points: readonly Vec3[]): number {
	const n = points.length;
	const along = alongOf([...points, points[0]!]);
	const length = along[n]!;
	const fits = (radius: number): boolean =>
		points.every((p, i) =>
			points.every((q, j) => {
				if (j < i + 2) return true;
				const between = along[j]! - along[i]!;
				return norm(sub(p, q)) >= leastApartMm(Math.min(between, length - between), radius);
			})
		);
	let [low, high] = [0, length];
	for (let k = 0; k < 30; k++) {
		const middle = (low + high) / 2;
		if (fits(middle)) low = middle;
		else high = middle;
	}
	return length / (2 * low);
}
