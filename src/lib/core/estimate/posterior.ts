import { inverseOf, solveCholesky, choleskyOf } from '../numeric/cholesky';

/** One reading as the posterior sees it. `predict` is what would have been read if the state were x; undefined where x is no spool. */
export interface Observed<World> {
	readonly value: number;
	/** 1σ of its own error. */
	readonly sigma: number;
	readonly predict: (world: World) => number;
	/**
	 * Half the width of what could have been read by a slip. Where it is given, the reading enters by a mixture of its normal
	 * density and a uniform one, so that a wild value cannot drag the rest.
	 */
	readonly slipWithin?: number | undefined;
}

/** A state of standard-normal deviations, and the world that they make. */
export interface Space<World> {
	readonly count: number;
	readonly worldAt: (x: readonly number[]) => World | undefined;
	/** Prior 1σ of each deviation, where it is not one. */
	readonly sigmas?: readonly number[] | undefined;
}

export interface Posterior<World> {
	/** The most plausible state (maximum a posteriori). */
	readonly at: readonly number[];
	readonly world: World;
	/** Covariance of the state around it. */
	readonly covariance: readonly (readonly number[])[];
	/** Whether the search came to rest. */
	readonly converged: boolean;
}

/** Step of the differences, in prior standard deviations: small against every curvature, large against rounding. */
const STEP = 1e-5;
const MAX_ITERATIONS = 40;
/** The search rests when no deviation moves further than this. */
const AT_REST = 1e-6;
/** After a smaller move than this the slopes are the same, to what a range shows. */
const SAME_SLOPES = 1e-5;
/** Chance that a reading which was looked at twice is a slip all the same. Assumption. */
const SLIP_CHANCE = 0.1;

/**
 * How fast predictions change with each deviation: one row a deviation. By differences to one side, the other one at the edge of what
 * is a spool.
 *
 * @throws RangeError where there is no spool
 */
export function gradients<World>(
	space: Space<World>,
	at: readonly number[],
	predicts: readonly ((world: World) => number)[]
): number[][] {
	const here = space.worldAt(at);
	if (!here) throw new RangeError('a gradient is asked for where there is no spool');
	const values = predicts.map((predict) => predict(here));
	return at.map((x, i) => {
		let step = STEP * (space.sigmas?.[i] ?? 1);
		let moved = space.worldAt(at.with(i, x + step));
		if (!moved) {
			step = -step;
			moved = space.worldAt(at.with(i, x + step));
		}
		return predicts.map((predict, k) => (moved ? (predict(moved) - values[k]!) / step : 0));
	});
}

/** The same for one prediction. */
export const gradient = <World>(
	space: Space<World>,
	at: readonly number[],
	predict: (world: World) => number
): number[] => gradients(space, at, [predict]).map((row) => row[0]!);

/** Minus the log of prior times likelihood, up to a constant. */
function costOf<World>(
	space: Space<World>,
	observed: readonly Observed<World>[],
	x: readonly number[]
): number {
	const world = space.worldAt(x);
	if (!world) return Infinity;
	const prior = x.reduce((sum, z, i) => sum + (z / (space.sigmas?.[i] ?? 1)) ** 2, 0);
	const cost = observed.reduce((sum, reading) => {
		const z = (reading.value - reading.predict(world)) / reading.sigma;
		return sum - logDensity(reading, z);
	}, prior / 2);
	return Number.isFinite(cost) ? cost : Infinity;
}

const ROOT_TAU = Math.sqrt(2 * Math.PI);
type Slipping = Pick<Observed<never>, 'sigma' | 'slipWithin'>;
const densities = ({ sigma, slipWithin }: Slipping, z: number): { kept: number; slipped: number } => ({
	kept: ((1 - SLIP_CHANCE) * Math.exp((-z * z) / 2)) / (sigma * ROOT_TAU),
	slipped: SLIP_CHANCE / (2 * slipWithin!)
});
/** Log density of a reading so many standard deviations off, up to a constant. */
export function logDensity(reading: Slipping, z: number): number {
	if (reading.slipWithin === undefined) return (-z * z) / 2;
	const { kept, slipped } = densities(reading, z);
	return Math.log(kept + slipped);
}
/** How much a reading counts: its chance not to be a slip. */
export function weightOf(reading: Slipping, z: number): number {
	if (reading.slipWithin === undefined) return 1;
	const { kept, slipped } = densities(reading, z);
	return kept / (kept + slipped);
}

/** Information matrix I + JᵀWJ and slope of the cost at a state. */
function linearised<World>(
	space: Space<World>,
	observed: readonly Observed<World>[],
	x: readonly number[]
): { information: number[][]; slope: number[] } {
	const world = space.worldAt(x)!;
	const rows = gradients(
		space,
		x,
		observed.map(({ predict }) => predict)
	);
	const priors = x.map((_, i) => (space.sigmas?.[i] ?? 1) ** -2);
	const information = x.map((_, i) => x.map((_, j) => (i === j ? priors[i]! : 0)));
	const slope = x.map((z, i) => z * priors[i]!);
	observed.forEach((reading, k) => {
		const off = reading.value - reading.predict(world);
		const weight = weightOf(reading, off / reading.sigma) / reading.sigma ** 2;
		for (let i = 0; i < x.length; i++) {
			slope[i]! -= weight * off * rows[i]![k]!;
			for (let j = 0; j < x.length; j++) information[i]![j]! += weight * rows[i]![k]! * rows[j]![k]!;
		}
	});
	return { information, slope };
}

/**
 * The posterior of a state of independent standard normals after readings: the maximum a posteriori point by Gauss–Newton, damped
 * where a full step would not lower the cost, and the covariance by Laplace's approximation there.
 * Source: C. M. Bishop, Pattern Recognition and Machine Learning, 4.4; the damping is Levenberg–Marquardt's.
 *
 * @throws RangeError when the starting state is no spool
 */
export function posterior<World>(
	space: Space<World>,
	observed: readonly Observed<World>[],
	from: readonly number[] = new Array<number>(space.count).fill(0)
): Posterior<World> {
	let x = [...from];
	if (!space.worldAt(x)) throw new RangeError('the search starts where there is no spool');
	let cost = costOf(space, observed, x);
	if (cost === Infinity) {
		// From where nothing could be read, the search begins again where nothing is off.
		x = x.map(() => 0);
		cost = costOf(space, observed, x);
	}
	let damping = 0;
	let converged = observed.length === 0;
	let here = linearised(space, observed, x);
	for (let i = 0; i < MAX_ITERATIONS && !converged; i++) {
		const { information, slope } = here;
		for (;;) {
			const damped = information.map((row, k) => row.with(k, row[k]! * (1 + damping)));
			const step = solveCholesky(choleskyOf(damped), slope);
			const next = x.map((z, k) => z - step[k]!);
			const moved = Math.max(...step.map((s, k) => Math.abs(s) / (space.sigmas?.[k] ?? 1)));
			const nextCost = costOf(space, observed, next);
			if (nextCost <= cost + 1e-12) {
				[x, cost] = [next, nextCost];
				damping = damping < 1e-3 ? 0 : damping / 10;
				converged = moved < AT_REST;
				if (moved > SAME_SLOPES) here = linearised(space, observed, x);
				break;
			}
			// No step lowers the cost any more: this is the bottom, to rounding.
			converged = moved < AT_REST || damping > 1e9;
			if (converged) break;
			damping = damping === 0 ? 1e-3 : damping * 10;
		}
	}
	return { at: x, world: space.worldAt(x)!, covariance: inverseOf(here.information), converged };
}

/** Most passes of an update, each taken where the one before has led, and the move at which it rests. */
const UPDATE_PASSES = 8;
const UPDATE_AT_REST = 0.02;

/**
 * A posterior after one more reading, by an iterated extended Kalman filter: quick, and close where readings come one by one.
 * Source: S. Särkkä, Bayesian Filtering and Smoothing, 5.2.
 */
export function updated<World>(
	space: Space<World>,
	{ at, world, covariance, converged }: Posterior<World>,
	{ value, sigma, predict }: Observed<World>
): Posterior<World> {
	let x = at;
	let here = world;
	let gain: number[] = [];
	let slope: number[] = [];
	for (let pass = 0; pass < UPDATE_PASSES; pass++) {
		slope = gradient(space, x, predict);
		const along = alongOf(covariance, slope);
		const total = along.reduce((sum, c, i) => sum + c * slope[i]!, sigma ** 2);
		gain = along.map((c) => c / total);
		const off = value - predict(here) - slope.reduce((sum, g, i) => sum + g * (at[i]! - x[i]!), 0);
		const next = at.map((z, i) => z + gain[i]! * off);
		const there = space.worldAt(next);
		// A long step may lead where there is still a spool, and nothing that could be read on it.
		if (!there || !Number.isFinite(predict(there))) break;
		const moved = Math.max(...next.map((z, i) => Math.abs(z - x[i]!)));
		[x, here] = [next, there];
		if (moved < UPDATE_AT_REST) break;
	}
	const along = alongOf(covariance, slope);
	const smaller = covariance.map((row, i) => row.map((c, j) => c - gain[i]! * along[j]!));
	return { at: x, world: here, covariance: smaller, converged };
}

/** Cg: how far each deviation goes with what changes along a slope. */
export const alongOf = (covariance: readonly (readonly number[])[], slope: readonly number[]): number[] =>
	covariance.map((row) => row.reduce((sum, c, j) => sum + c * slope[j]!, 0));

/** gᵀCg. */
export function varianceAlong(
	covariance: readonly (readonly number[])[],
	slope: readonly number[],
	other = slope
): number {
	return alongOf(covariance, other).reduce((sum, along, i) => sum + slope[i]! * along, 0);
}
