import { findRoot } from '../numeric/root';

/** Width between the flanges at one radius. */
export interface ProfilePoint {
	readonly radiusMm: number;
	readonly widthMm: number;
}

/** A stretch of the profile over which the width is linear: w(r) = widthMm + slope·(r − innerRadiusMm). */
export interface Piece {
	readonly innerRadiusMm: number;
	readonly outerRadiusMm: number;
	readonly widthMm: number;
	readonly slope: number;
	/** Cross-section and volume of everything below this piece. */
	readonly areaBelowMm2: number;
	readonly volumeBelowMm3: number;
}

export function pieceBetween(inner: ProfilePoint, outer: ProfilePoint, below: Piece | undefined): Piece {
	const span = outer.radiusMm - inner.radiusMm;
	return {
		innerRadiusMm: inner.radiusMm,
		outerRadiusMm: outer.radiusMm,
		widthMm: inner.widthMm,
		slope: Number.isFinite(span) ? (outer.widthMm - inner.widthMm) / span : 0,
		areaBelowMm2: below ? areaInPiece(below, inner.radiusMm) : 0,
		volumeBelowMm3: below ? volumeInPiece(below, inner.radiusMm) : 0
	};
}

/** Cross-section filled up to radius r inside the piece, everything below included, mm². */
export function areaInPiece(piece: Piece, r: number): number {
	const h = r - piece.innerRadiusMm;
	return piece.areaBelowMm2 + h * (piece.widthMm + (piece.slope * h) / 2);
}

/**
 * Volume filled up to radius r inside the piece, everything below included, mm³.
 * ∫ 2πρ·w(ρ) dρ with ρ = r₀ + h: Pappus's theorem, in closed form.
 */
export function volumeInPiece(piece: Piece, r: number): number {
	const h = r - piece.innerRadiusMm;
	const { innerRadiusMm: r0, widthMm: w0, slope } = piece;
	const moment = h * (r0 * w0 + h * ((w0 + r0 * slope) / 2 + (h * slope) / 3));
	return piece.volumeBelowMm3 + 2 * Math.PI * moment;
}

/** The radius at which the piece has taken a total `volumeMm3`; closed form where the width is constant. */
export function radiusInPiece(piece: Piece, volumeMm3: number): number {
	const { innerRadiusMm: r0, outerRadiusMm: r1 } = piece;
	const within = volumeMm3 - piece.volumeBelowMm3;
	if (within <= 0) return r0;
	if (piece.slope === 0) return Math.sqrt(r0 * r0 + within / (Math.PI * piece.widthMm));
	const excess = (r: number): number => volumeInPiece(piece, r) - volumeMm3;
	return excess(r1) <= 0 ? r1 : findRoot(excess, r0, r1);
}

/** The radius at which the piece has taken a total cross-section `areaMm2`: the root of a quadratic, in its stable form. */
export function radiusAtAreaInPiece(piece: Piece, areaMm2: number): number {
	const within = areaMm2 - piece.areaBelowMm2;
	if (within <= 0) return piece.innerRadiusMm;
	const { widthMm: w, slope } = piece;
	return piece.innerRadiusMm + (2 * within) / (w + Math.sqrt(w * w + 2 * slope * within));
}
