import { bulkSurfaceMm, type BulkSpool } from '$lib/core';
import type { PlannedCut } from '$lib/stock/planned';
import type { StockEntry } from '$lib/stock/stock';

/** What is on a bulk spool, as rings from the arbor outward; radii in mm. */
export interface BulkRings {
	/** What stays on it. */
	readonly rest: { readonly innerMm: number; readonly outerMm: number };
	/** The planned cuts, the first one outermost. */
	readonly cuts: readonly { readonly cut: PlannedCut; readonly innerMm: number; readonly outerMm: number }[];
	/** Where the surface may be, 9 times out of 10. */
	readonly soft: { readonly innerMm: number; readonly outerMm: number };
}

/** The rings of a bulk spool from what is left on it and what is to be cut off. */
export function bulkRings(
	{ leftMm, spaceMm2 }: Pick<StockEntry, 'leftMm' | 'spaceMm2'>,
	spool: BulkSpool,
	cuts: readonly PlannedCut[]
): BulkRings {
	const surface = (lengthMm: number): number => bulkSurfaceMm(spool, spaceMm2, Math.max(lengthMm, 0));
	const left = leftMm?.value ?? 0;
	let on = left;
	const bands = cuts.map((cut) => {
		const outerMm = surface(on);
		on -= cut.lengthMm;
		return { cut, innerMm: surface(on), outerMm };
	});
	return {
		rest: { innerMm: surface(0), outerMm: surface(on) },
		cuts: bands,
		soft: {
			innerMm: surface(leftMm?.range.low ?? 0),
			outerMm: Math.min(surface(leftMm?.range.high ?? 0), spool.rimDiameterMm / 2)
		}
	};
}

/** What is left of a length that lies on no measured spool, as a bar; places and widths in mm of backing. */
export interface BulkBar {
	readonly rest: number;
	readonly cuts: readonly { readonly cut: PlannedCut; readonly from: number; readonly to: number }[];
}

export function bulkBar({ leftMm }: Pick<StockEntry, 'leftMm'>, cuts: readonly PlannedCut[]): BulkBar {
	let to = leftMm?.value ?? 0;
	const bands = cuts.map((cut) => {
		const from = Math.max(to - cut.lengthMm, 0);
		const band = { cut, from, to };
		to = from;
		return band;
	});
	return { rest: to, cuts: bands };
}
