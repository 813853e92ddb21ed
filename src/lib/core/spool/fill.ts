import { areaInPiece, radiusAtAreaInPiece, radiusInPiece, volumeInPiece, type Piece } from './piece';
import type { Spool } from './spool';

function pieceWhere(spool: Spool, holds: (piece: Piece) => boolean): Piece {
	const found = spool.pieces.find(holds);
	if (!found) throw new RangeError('surface outside every piece of the spool');
	return found;
}

const pieceAtRadius = (spool: Spool, radiusMm: number): Piece => {
	if (!(radiusMm >= spool.arborRadiusMm)) throw new RangeError(`radius ${radiusMm} mm is below the arbor`);
	return pieceWhere(spool, (piece) => radiusMm <= piece.outerRadiusMm);
};

/** Cross-section filled up to a surface radius, mm²: ∫ w dr from the floor. */
export const areaToRadius = (spool: Spool, radiusMm: number): number =>
	areaInPiece(pieceAtRadius(spool, radiusMm), radiusMm);

/** Volume filled up to a surface radius, mm³: ∫ 2πr·w dr from the floor. */
export const volumeToRadius = (spool: Spool, radiusMm: number): number =>
	volumeInPiece(pieceAtRadius(spool, radiusMm), radiusMm);

/** What is taken off again may be more than was put on by so much, from rounding, mm³. */
const ROUNDING_MM3 = 1e-6;

/** Surface radius when `volumeMm3` of space is filled, mm: the inverse of {@link volumeToRadius}. */
export function radiusAtVolume(spool: Spool, volumeMm3: number): number {
	if (!(volumeMm3 >= -ROUNDING_MM3)) throw new RangeError(`volume ${volumeMm3} mm³ is not a fill`);
	if (volumeMm3 < 0) return spool.arborRadiusMm;
	const { pieces } = spool;
	let i = 0;
	while (i + 1 < pieces.length && volumeMm3 > pieces[i + 1]!.volumeBelowMm3) i++;
	return radiusInPiece(pieces[i]!, volumeMm3);
}

/** Surface radius when a cross-section of `areaMm2` is filled, mm: the inverse of {@link areaToRadius}. */
export function radiusAtArea(spool: Spool, areaMm2: number): number {
	if (!(areaMm2 >= 0)) throw new RangeError(`cross-section ${areaMm2} mm² is not a fill`);
	const { pieces } = spool;
	let i = 0;
	while (i + 1 < pieces.length && areaMm2 > pieces[i + 1]!.areaBelowMm2) i++;
	return radiusAtAreaInPiece(pieces[i]!, areaMm2);
}

/** Width between the flanges at a radius, mm. */
export function widthAtRadius(spool: Spool, radiusMm: number): number {
	const piece = pieceAtRadius(spool, radiusMm);
	return piece.widthMm + piece.slope * (Math.min(radiusMm, 1e9) - piece.innerRadiusMm);
}
