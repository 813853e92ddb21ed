import { toMm } from '../units/units';

/** Lengths in which backing is sold, yd. Common practice. */
export const RETAIL_YARDS = [50, 100, 150, 200, 250, 300, 400, 500, 600] as const;

export interface Cut {
	/** To be cut: the length wanted and its knots. */
	readonly cutMm: number;
	readonly knotsMm: number;
	/** Sizes to buy; empty when nothing is wanted. More than one has to be joined. */
	readonly buyMm: readonly number[];
	readonly leftoverMm: number;
}

/** What to buy and what to cut for a strand of `lengthMm` whose knots take `knotsMm` of it. */
export function cutFor(lengthMm: number, knotsMm: number): Cut {
	const cutMm = lengthMm > 0 ? lengthMm + knotsMm : 0;
	const sizes = RETAIL_YARDS.map((yards) => toMm(yards, 'yd'));
	const largest = sizes.at(-1)!;
	const buyMm: number[] = [];
	let left = cutMm;
	while (left > 0) {
		const size = sizes.find((size) => size >= left) ?? largest;
		buyMm.push(size);
		left -= size;
	}
	return { cutMm, knotsMm, buyMm, leftoverMm: Math.max(-left, 0) };
}
