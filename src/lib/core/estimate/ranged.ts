import type { Range } from '../uncertainty/propagate';
import { RANGE_Z } from '../uncertainty/spreads';

/** A number with its range, 9 times out of 10. */
export interface Ranged {
	readonly value: number;
	readonly range: Range;
}

/** The range of a normal value, cut at `floor` where nature does. */
export const ranged = (value: number, sigma: number, floor = -Infinity): Ranged => ({
	value,
	range: { low: Math.max(value - RANGE_Z * sigma, floor), high: Math.max(value + RANGE_Z * sigma, floor) }
});
