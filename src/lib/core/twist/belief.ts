/**
 * A twist that is not known exactly: turns, positive when the line is twisted as a right-handed screw, with one standard
 * deviation. Beliefs are normal and independent of each other.
 */
export interface Turns {
	readonly mean: number;
	readonly sd: number;
}

export const NO_TURNS: Turns = { mean: 0, sd: 0 };

/** One twist on top of another. */
export const plus = (a: Turns, b: Turns): Turns => ({ mean: a.mean + b.mean, sd: Math.hypot(a.sd, b.sd) });

export const times = ({ mean, sd }: Turns, factor: number): Turns => ({
	mean: mean * factor,
	sd: sd * Math.abs(factor)
});

/** Fifth to ninety-fifth percentile. */
export const rangeOf = ({ mean, sd }: Turns): { low: number; high: number } => ({
	low: mean - 1.645 * sd,
	high: mean + 1.645 * sd
});

/**
 * A belief corrected by a measurement: the update of a one-dimensional Kalman filter (Kalman, A new approach to linear
 * filtering and prediction problems, 1960), which for normal errors is Bayes' rule.
 */
export function corrected(belief: Turns, measured: Turns): Turns {
	const [p, r] = [belief.sd ** 2, measured.sd ** 2];
	if (p === 0) return belief;
	const gain = p / (p + r);
	return { mean: belief.mean + gain * (measured.mean - belief.mean), sd: Math.sqrt((1 - gain) * p) };
}
