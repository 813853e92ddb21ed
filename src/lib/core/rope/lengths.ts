import { bringTo, shift, type Rope, type Ropes } from './rope';

/**
 * Brings the pieces of a rope back to their length, all of a rope at once: the pieces' pulls are the solution of a
 * tridiagonal system, so that a pull on one end is felt at the other (R. Goldenthal and others, Efficient simulation of
 * inextensible cloth, SIGGRAPH 2007, for a chain).
 */
export function keepLengths(ropes: Ropes): void {
	for (const rope of ropes.ropes) (rope.closed ? keepRound : keepChain)(ropes, rope);
}

let kept: Float64Array[] = [];
/** Six arrays that are long enough; what was in them is nobody's any more. */
function scratch(
	length: number
): [Float64Array, Float64Array, Float64Array, Float64Array, Float64Array, Float64Array] {
	if ((kept[0]?.length ?? 0) < length) kept = Array.from({ length: 6 }, () => new Float64Array(2 * length));
	return kept as [Float64Array, Float64Array, Float64Array, Float64Array, Float64Array, Float64Array];
}

function keepChain({ at, ease }: Ropes, { first, count, spacingMm }: Rope): void {
	const pieces = count - 1;
	const [dx, dy, dz, diagonal, beside, pull] = scratch(pieces);
	for (let i = 0; i < pieces; i++) {
		const p = 3 * (first + i);
		const [x, y, z] = [at[p + 3]! - at[p]!, at[p + 4]! - at[p + 1]!, at[p + 5]! - at[p + 2]!];
		const length = Math.sqrt(x * x + y * y + z * z) || 1e-12;
		dx[i] = x / length;
		dy[i] = y / length;
		dz[i] = z / length;
		pull[i] = length - spacingMm;
		// A little give keeps the system solvable where both ends of a piece are held.
		diagonal[i] = ease[first + i]! + ease[first + i + 1]! + 1e-9;
		if (i > 0) beside[i] = -ease[first + i]! * (dx[i]! * dx[i - 1]! + dy[i]! * dy[i - 1]! + dz[i]! * dz[i - 1]!); // prettier-ignore
	}
	for (let i = 1; i < pieces; i++) {
		const factor = beside[i]! / diagonal[i - 1]!;
		diagonal[i]! -= factor * beside[i]!;
		pull[i]! -= factor * pull[i - 1]!;
	}
	for (let i = pieces - 1; i >= 0; i--) {
		if (i < pieces - 1) pull[i]! -= beside[i + 1]! * pull[i + 1]!;
		pull[i]! /= diagonal[i]!;
	}
	for (let i = 0; i < pieces; i++) {
		const [a, b] = [first + i, first + i + 1];
		shift(at, a, ease[a]! * pull[i]!, dx[i]!, dy[i]!, dz[i]!);
		shift(at, b, -ease[b]! * pull[i]!, dx[i]!, dy[i]!, dz[i]!);
	}
}

/** A closed rope has no end to begin from: piece after piece, there and back. */
function keepRound({ at, ease }: Ropes, { first, count, spacingMm }: Rope): void {
	const keep = (i: number): void => bringTo(at, ease, first + i, first + ((i + 1) % count), spacingMm);
	for (let i = 0; i < count; i++) keep(i);
	for (let i = count - 1; i >= 0; i--) keep(i);
}
