import type { Vec3 } from '../knots/curve';
import { nearestShares } from '../knots/segments';
import { apartMm, bringTo, shift, type Ropes } from './rope';

/** Pieces of rope that may touch, each named by its first node, and how far apart they have to be, mm. */
export interface Contacts {
	readonly count: number;
	readonly a: Int32Array;
	readonly b: Int32Array;
	readonly leastMm: Float64Array;
}

/**
 * How far apart two places of one rope have to be, so many mm along it: a rope of radius r bends no tighter than a
 * circle of radius r, and beyond half of that circle it is another strand, a diameter away (the thickness of O.
 * Gonzalez and J. H. Maddocks, Global curvature, thickness, and the ideal shapes of knots, PNAS 96, 1999).
 */
export const leastApartMm = (alongMm: number, radiusMm: number): number =>
	alongMm >= Math.PI * radiusMm ? 2 * radiusMm : 2 * radiusMm * Math.sin(alongMm / (2 * radiusMm));

/** The piece after a node: where it ends. None after the last node of an open rope. */
function nextOf({ ropes, ropeOf }: Ropes, i: number): number {
	const { first, count, closed } = ropes[ropeOf[i]!]!;
	if (i < first + count - 1) return i + 1;
	return closed ? first : -1;
}

/** All pieces that could touch before they are looked for again: nearer than they may be, and `reachMm` more. */
export function contactsOf(all: Ropes, reachMm: number): Contacts {
	const { at, ropeOf, ropes, ease } = all;
	const n = ropeOf.length;
	const widest = Math.max(...ropes.map(({ radiusMm }) => radiusMm));
	const longest = Math.max(...ropes.map(({ spacingMm }) => spacingMm));
	const cell = 2 * widest + longest + reachMm;
	const cells = new Map<number, number[]>();
	const place = (i: number, d: number): number => Math.floor(at[3 * i + d]! / cell) + 512;
	const key = (x: number, y: number, z: number): number => (x * 1024 + y) * 1024 + z;
	for (let i = 0; i < n; i++) {
		const k = key(place(i, 0), place(i, 1), place(i, 2));
		const inCell = cells.get(k);
		if (inCell) inCell.push(i);
		else cells.set(k, [i]);
	}
	const [a, b, least]: [number[], number[], number[]] = [[], [], []];
	const look = (i: number, j: number): void => {
		const [one, other] = [ropes[ropeOf[i]!]!, ropes[ropeOf[j]!]!];
		if (ease[i] === 0 && ease[j] === 0 && one !== other) return;
		const apart = one.radiusMm + other.radiusMm;
		if (one === other) {
			const along = one.closed ? Math.min(j - i, one.count - (j - i)) : j - i;
			// What is near along the rope is its bend, not another strand.
			if ((along - 1) * one.spacingMm < Math.PI * one.radiusMm) return;
		}
		if (nextOf(all, i) < 0 || nextOf(all, j) < 0) return;
		const [x, y, z] = [at[3 * i]! - at[3 * j]!, at[3 * i + 1]! - at[3 * j + 1]!, at[3 * i + 2]! - at[3 * j + 2]!]; // prettier-ignore
		if (x * x + y * y + z * z >= (apart + longest + reachMm) ** 2) return;
		a.push(i);
		b.push(j);
		least.push(apart);
	};
	for (let i = 0; i < n; i++)
		for (let dx = -1; dx <= 1; dx++)
			for (let dy = -1; dy <= 1; dy++)
				for (let dz = -1; dz <= 1; dz++)
					for (const j of cells.get(key(place(i, 0) + dx, place(i, 1) + dy, place(i, 2) + dz)) ?? [])
						if (j > i) look(i, j);
	return { count: a.length, a: Int32Array.from(a), b: Int32Array.from(b), leastMm: Float64Array.from(least) };
}

/**
 * Pushes pieces apart that are too near, each by its share; along each other they rub: what they slid since `before` is
 * undone, up to `friction` times the push. Returns the deepest overlap that was found, mm.
 */
export function pushApart(all: Ropes, contacts: Contacts, before: Float64Array, friction: number): number {
	const { at, ease } = all;
	let deepest = 0;
	for (let k = 0; k < contacts.count; k++) {
		const [i, j] = [contacts.a[k]!, contacts.b[k]!];
		const [i1, j1] = [nextOf(all, i), nextOf(all, j)];
		const [p, p1, q, q1] = [3 * i, 3 * i1, 3 * j, 3 * j1];
		const least = contacts.leastMm[k]!;
		const u: Vec3 = [at[p1]! - at[p]!, at[p1 + 1]! - at[p + 1]!, at[p1 + 2]! - at[p + 2]!];
		const v: Vec3 = [at[q1]! - at[q]!, at[q1 + 1]! - at[q + 1]!, at[q1 + 2]! - at[q + 2]!];
		const r: Vec3 = [at[p]! - at[q]!, at[p + 1]! - at[q + 1]!, at[p + 2]! - at[q + 2]!];
		const [s, t] = nearestShares(u, v, r);
		const [x, y, z] = [r[0] + s * u[0] - t * v[0], r[1] + s * u[1] - t * v[1], r[2] + s * u[2] - t * v[2]];
		const square = x * x + y * y + z * z;
		if (square >= least * least || square === 0) continue;
		const distance = Math.sqrt(square);
		const into = least - distance;
		if (into > deepest) deepest = into;
		const [wi, wi1, wj, wj1] = [ease[i]! * (1 - s), ease[i1]! * s, ease[j]! * (1 - t), ease[j1]! * t];
		const whole = wi * (1 - s) + wi1 * s + wj * (1 - t) + wj1 * t;
		if (whole < 1e-9) continue;
		const push = into / (distance * whole);
		let [dx, dy, dz] = [push * x, push * y, push * z];
		if (friction > 0) {
			const slid = (d: 0 | 1 | 2): number =>
				(1 - s) * (at[p + d]! - before[p + d]!) + s * (at[p1 + d]! - before[p1 + d]!) -
				(1 - t) * (at[q + d]! - before[q + d]!) - t * (at[q1 + d]! - before[q1 + d]!); // prettier-ignore
			const [sx, sy, sz] = [slid(0), slid(1), slid(2)];
			const along = (sx * x + sy * y + sz * z) / square;
			const [tx, ty, tz] = [sx - along * x, sy - along * y, sz - along * z];
			const length = Math.sqrt(tx * tx + ty * ty + tz * tz);
			if (length > 1e-12) {
				const back = Math.min(1, (friction * into) / length) / whole;
				dx -= back * tx;
				dy -= back * ty;
				dz -= back * tz;
			}
		}
		shift(at, i, wi, dx, dy, dz);
		shift(at, i1, wi1, dx, dy, dz);
		shift(at, j, -wj, dx, dy, dz);
		shift(at, j1, -wj1, dx, dy, dz);
	}
	return deepest;
}

/** Bends that are tighter than the rope is thick are opened: no tighter than a circle of its radius. Returns by how much at most, mm. */
export function openBends({ at, ease, ropes }: Ropes): number {
	let deepest = 0;
	for (const { first, count, radiusMm, spacingMm, closed } of ropes) {
		const most = Math.floor((Math.PI * radiusMm) / spacingMm) + 1;
		for (let along = 2; along <= most; along++) {
			const least = leastApartMm(along * spacingMm, radiusMm);
			for (let k = 0; k < (closed ? count : count - along); k++) {
				const [i, j] = [first + k, first + ((k + along) % count)];
				const apart = apartMm(at, i, j);
				if (apart >= least || apart === 0 || ease[i]! + ease[j]! === 0) continue;
				deepest = Math.max(deepest, least - apart);
				bringTo(at, ease, i, j, least);
			}
		}
	}
	return deepest;
}
