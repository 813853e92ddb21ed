import type { Vec3 } from './curve';

/** A curve as it is looked at along −z: `points` are joined by straight pieces, the last to the first if closed. */
export interface Curve {
	readonly points: readonly Vec3[];
	readonly closed: boolean;
}

/** Where one piece of a curve passes over another, seen along −z. */
export interface Crossing {
	readonly over: Passage;
	readonly under: Passage;
	/** +1 when the under strand passes from right to left of the over strand's direction, −1 the other way. */
	readonly sign: 1 | -1;
	readonly x: number;
	readonly y: number;
}

/** A place on a curve: which curve, and how far along it, in pieces. */
export interface Passage {
	readonly curve: number;
	readonly at: number;
	readonly z: number;
}

interface Piece {
	readonly curve: number;
	readonly index: number;
	readonly a: Vec3;
	readonly b: Vec3;
	readonly left: number;
	readonly right: number;
	readonly low: number;
	readonly high: number;
}

function piecesOf(curves: readonly Curve[]): Piece[] {
	return curves.flatMap(({ points, closed }, curve) => {
		const count = closed ? points.length : points.length - 1;
		return Array.from({ length: count }, (_, index): Piece => {
			const [a, b] = [points[index]!, points[(index + 1) % points.length]!];
			return {
				curve,
				index,
				a,
				b,
				left: Math.min(a[0], b[0]),
				right: Math.max(a[0], b[0]),
				low: Math.min(a[1], b[1]),
				high: Math.max(a[1], b[1])
			};
		});
	});
}

/** Neighbours on one curve share a point; they do not cross. */
function areNeighbours(p: Piece, q: Piece, curves: readonly Curve[]): boolean {
	if (p.curve !== q.curve) return false;
	const apart = Math.abs(p.index - q.index);
	const { points, closed } = curves[p.curve]!;
	return apart <= 1 || (closed && apart === points.length - 1);
}

/** Where two pieces cross in the plane, if they do: by the signs of the areas they span. */
function meet(p: Piece, q: Piece): Crossing | undefined {
	const [dx, dy] = [p.b[0] - p.a[0], p.b[1] - p.a[1]];
	const [ex, ey] = [q.b[0] - q.a[0], q.b[1] - q.a[1]];
	const denominator = dx * ey - dy * ex;
	if (denominator === 0) return undefined;
	const [fx, fy] = [q.a[0] - p.a[0], q.a[1] - p.a[1]];
	const s = (fx * ey - fy * ex) / denominator;
	const t = (fx * dy - fy * dx) / denominator;
	// Half open, so that a crossing in a corner is found once.
	if (!(s >= 0 && s < 1 && t >= 0 && t < 1)) return undefined;
	const zp = p.a[2] + s * (p.b[2] - p.a[2]);
	const zq = q.a[2] + t * (q.b[2] - q.a[2]);
	const first: Passage = { curve: p.curve, at: p.index + s, z: zp };
	const second: Passage = { curve: q.curve, at: q.index + t, z: zq };
	const pOver = zp > zq;
	return {
		over: pOver ? first : second,
		under: pOver ? second : first,
		sign: denominator > 0 === pOver ? 1 : -1,
		x: p.a[0] + s * dx,
		y: p.a[1] + s * dy
	};
}

/** All crossings of the curves, each once. Pieces are swept from left to right, so that only near ones are compared. */
export function crossingsOf(curves: readonly Curve[]): Crossing[] {
	const pieces = piecesOf(curves).sort((p, q) => p.left - q.left);
	const found: Crossing[] = [];
	let active: Piece[] = [];
	for (const piece of pieces) {
		active = active.filter(({ right }) => right >= piece.left);
		for (const other of active) {
			if (other.low > piece.high || other.high < piece.low) continue;
			if (areNeighbours(piece, other, curves)) continue;
			const crossing = meet(piece, other);
			if (crossing) found.push(crossing);
		}
		active.push(piece);
	}
	return found;
}
