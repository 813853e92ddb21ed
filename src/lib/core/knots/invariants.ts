import type { Vec3 } from './curve';
import { type Crossing, type Curve } from './crossings';
import { determinantUpToUnit, isZero, plus, type Laurent, type Row } from './laurent';

/** Passages of one curve in the order it runs through them: crossing number, and whether it is on top. */
export interface GaussEntry {
	readonly crossing: number;
	readonly over: boolean;
	readonly sign: 1 | -1;
}

/** The Gauss code of each curve: its crossings, numbered as in `crossings`, in the order it meets them. */
export function gaussCode(curves: number, crossings: readonly Crossing[]): GaussEntry[][] {
	const passages = crossings.flatMap(({ over, under, sign }, crossing) => [
		{ ...over, crossing, over: true, sign },
		{ ...under, crossing, over: false, sign }
	]);
	return Array.from({ length: curves }, (_, curve) =>
		passages
			.filter((passage) => passage.curve === curve)
			.sort((a, b) => a.at - b.at)
			.map(({ crossing, over, sign }) => ({ crossing, over, sign }))
	);
}

/** Half the sum of the signs where two curves cross: a whole number for closed ones. */
export const linkingNumber = (crossings: readonly Crossing[], a: number, b: number): number =>
	crossings
		.filter(
			({ over, under }) => (over.curve === a && under.curve === b) || (over.curve === b && under.curve === a)
		)
		.reduce((sum, { sign }) => sum + sign, 0) / 2;

/**
 * A code without what can be pulled straight: kinks (a crossing met twice in a row) and strands laid one over the
 * other (two crossings met one after the other on both, one strand over at both). Reidemeister's first and second
 * moves on the code; the knot stays what it is, and the matrix gets small.
 */
export function straightened(code: readonly GaussEntry[]): readonly GaussEntry[] {
	const n = code.length;
	const at = (i: number): GaussEntry => code[(i + n) % n]!;
	for (let i = 0; i < n; i++) {
		const [a, b] = [at(i), at(i + 1)];
		if (a.crossing === b.crossing)
			return straightened(code.filter(({ crossing }) => crossing !== a.crossing));
		if (a.over !== b.over || a.sign === b.sign) continue;
		const other = code.findIndex(({ crossing, over }) => crossing === a.crossing && over !== a.over);
		if ([at(other - 1), at(other + 1)].some(({ crossing }) => crossing === b.crossing))
			return straightened(code.filter(({ crossing }) => crossing !== a.crossing && crossing !== b.crossing));
	}
	return code;
}

/** For each crossing the arcs that meet there; an arc runs from one passing under to the next. */
function arcs(code: readonly GaussEntry[]): { over: number; into: number; out: number; sign: 1 | -1 }[] {
	const count = code.filter(({ over }) => !over).length;
	const met = new Map<number, { over: number; into: number; out: number; sign: 1 | -1 }>();
	let arc = 0;
	for (const { crossing, over, sign } of code) {
		const known = met.get(crossing) ?? { over: 0, into: 0, out: 0, sign };
		if (over) met.set(crossing, { ...known, over: arc });
		else {
			const out = (arc + 1) % count;
			met.set(crossing, { ...known, into: arc, out });
			arc = out;
		}
	}
	return [...met.values()];
}

const ONE_MINUS_T: Laurent = { low: 0, c: [1n, -1n] };
const T: Laurent = { low: 1, c: [1n] };
const MINUS_ONE: Laurent = { low: 0, c: [-1n] };

/**
 * The Alexander polynomial of one closed curve, coefficients from the constant one up, as numbers: without its
 * factors of ±t, so that it reads the same both ways and begins above 0. The unknot gives [1].
 *
 * From the colouring of its arcs (Alexander, Topological invariants of knots and links, 1928): at each crossing
 * (1 − t)·over + t·into − out = 0, into and out changing places with the sign; a minor of that matrix, exact.
 */
export function alexander(code: readonly GaussEntry[]): number[] {
	const met = arcs(straightened(code));
	const n = met.length;
	if (n < 3) return [1];
	const rows = met.slice(0, n - 1).map(({ over, into, out, sign }) => {
		const row: Row = new Map();
		const add = (column: number, entry: Laurent): void => {
			const sum = plus(row.get(column) ?? { low: 0, c: [] }, entry);
			if (isZero(sum)) row.delete(column);
			else row.set(column, sum);
		};
		const [first, second] = sign > 0 ? [into, out] : [out, into];
		add(over, ONE_MINUS_T);
		add(first, T);
		add(second, MINUS_ONE);
		row.delete(n - 1);
		return row;
	});
	const coefficients = determinantUpToUnit(rows).c.map(Number);
	if (coefficients.length === 0)
		throw new RangeError('the curve does not close: its Alexander polynomial vanishes');
	return coefficients[0]! < 0 ? coefficients.map((c) => 0 - c) : coefficients;
}

/**
 * An open curve closed high above everything, so that the closing adds no crossing under anything: its ends go
 * straight up and are joined there.
 */
export function closedAbove(points: readonly Vec3[]): Curve {
	const top = Math.max(...points.map(([, , z]) => z)) + 10;
	const [first, last] = [points[0]!, points.at(-1)!];
	return { closed: true, points: [...points, [last[0], last[1], top], [first[0], first[1], top]] };
}
