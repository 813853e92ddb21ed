/** What is said of a sample of numbers. */
export interface Summary {
	readonly mean: number;
	readonly sd: number;
	readonly p05: number;
	readonly p50: number;
	readonly p95: number;
}

/**
 * Quantile of values in rising order, linear between them (R. J. Hyndman & Y. Fan, American Statistician
 * 50, 1996, type 7: the default of most statistics packages).
 */
export function quantileSorted(rising: ArrayLike<number>, p: number): number {
	if (rising.length === 0) throw new RangeError('no values to take a quantile of');
	const at = Math.min(Math.max(p, 0), 1) * (rising.length - 1);
	const below = Math.floor(at);
	const low = rising[below]!;
	return low + (at - below) * ((rising[below + 1] ?? low) - low);
}

/** Share of values in rising order that are below `limit`. */
export function shareBelow(rising: ArrayLike<number>, limit: number): number {
	let [low, high] = [0, rising.length];
	while (low < high) {
		const middle = (low + high) >> 1;
		if (rising[middle]! < limit) low = middle + 1;
		else high = middle;
	}
	return rising.length > 0 ? low / rising.length : 0;
}

export const mean = (values: ArrayLike<number>): number => {
	let sum = 0;
	for (let i = 0; i < values.length; i++) sum += values[i]!;
	return sum / values.length;
};

/** Sample deviation (n − 1). */
export function deviation(values: ArrayLike<number>, around = mean(values)): number {
	let sum = 0;
	for (let i = 0; i < values.length; i++) sum += (values[i]! - around) ** 2;
	return values.length > 1 ? Math.sqrt(sum / (values.length - 1)) : 0;
}

/** Summary of values in rising order. */
export function summarySorted(rising: ArrayLike<number>): Summary {
	const average = mean(rising);
	return {
		mean: average,
		sd: deviation(rising, average),
		p05: quantileSorted(rising, 0.05),
		p50: quantileSorted(rising, 0.5),
		p95: quantileSorted(rising, 0.95)
	};
}
