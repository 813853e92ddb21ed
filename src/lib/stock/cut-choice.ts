import type { StockEntry } from './stock';

/** A strand that is wound on now, and what on the shelf it can come from. */
export interface CutChoice {
	readonly part: string;
	readonly what: string;
	readonly lengthMm: number | null;
	readonly sources: readonly StockEntry[];
	/** The one it most likely comes from; null where it does not come from the shelf. */
	readonly chosen: string | null;
}
