import { spoolOf } from '../calibrate/source';
import type { Fit } from '../fit/solve';
import { seededRandom } from '../numeric/random';
import { mean, quantileSorted, shareBelow } from '../numeric/sample';
import type { Problem } from '../uncertainty/inputs';
import { DEFAULT_SPREADS, type Spreads } from '../uncertainty/spreads';
import { METHODS, type MethodSlug, type Played } from './methods';
import { World, type Belief } from './world';

/** What a method can be expected to do on this set-up. */
export interface Rung {
	readonly slug: MethodSlug;
	/** Deviation of the gap from the wanted one, root mean square, mm. */
	readonly gapErrorMm: number;
	/** The gap is off by less than this 19 times out of 20, mm. */
	readonly gapError95Mm: number;
	/** Chance that the line touches rim or frame, and that less than {@link TIGHT_MM} is left. */
	readonly rubProbability: number;
	readonly tightProbability: number;
	/** Handle turns beyond winding everything on once. */
	readonly extraTurns: number;
	/** Times that a rule is laid across the rims. */
	readonly readings: number;
}

export interface Ladder {
	readonly rungs: readonly Rung[];
	readonly recommended: MethodSlug;
	/** Why: it is the least work that keeps both limits, or nothing does and it errs least. */
	readonly because: 'least-work-that-is-safe' | 'errs-least';
}

/** A gap under which knots and uneven winding touch, mm. Assumption. */
const TIGHT_MM = 1;

/** Errors within this factor of each other are the same. */
const SAME_ERROR = 1.06;

/** Chance of rubbing, and gap error, that a method may have and still be recommended. Assumptions. */
export const RUB_LIMIT = 0.05;
export const GAP_ERROR_LIMIT_MM = 1.5;

export function summariseMethod(slug: MethodSlug, played: readonly Played[], gapMm: readonly number[]): Rung {
	const errors = Float64Array.from(played, (p, i) => Math.abs(p.gapMm - gapMm[i]!)).sort();
	const gaps = Float64Array.from(played, (p) => p.gapMm).sort();
	return {
		slug,
		gapErrorMm: Math.sqrt(mean(errors.map((e) => e * e))),
		gapError95Mm: quantileSorted(errors, 0.95),
		rubProbability: shareBelow(gaps, 0),
		tightProbability: shareBelow(gaps, TIGHT_MM),
		extraTurns: mean(played.map((p) => p.extraTurns)),
		readings: METHODS.find((method) => method.slug === slug)!.readings
	};
}

/** Plays every method once on the same world: the one that the seed makes. */
export const playMethods = (belief: Belief, seed: number): [MethodSlug, Played][] =>
	METHODS.flatMap(({ slug, play }) => {
		const world = World.draw(belief, seededRandom(seed));
		const result = world && play(world, belief);
		return result ? [[slug, result] as [MethodSlug, Played]] : [];
	});

/** How the methods are played: on so many worlds, drawn from these spreads. */
export interface LadderOptions {
	readonly trials?: number;
	readonly seed?: number;
	readonly spreads?: Spreads;
}

/**
 * Plays every method on `trials` worlds drawn from the spreads, and says which to use. Yields the number of worlds played after
 * each, so that the caller can show progress or stop. Undefined when the set-up has no length to find. A method that cannot be
 * used here has no rung.
 */
export function* ladder(
	problem: Problem,
	planned: Fit,
	{ trials = 400, seed = 1, spreads = DEFAULT_SPREADS }: LadderOptions = {}
): Generator<number, Ladder | undefined> {
	const { solved } = planned;
	if (!planned.fits || !solved || !(solved.lengthMm > 0)) return undefined;
	const built = spoolOf(problem.source);
	if (!built.ok) return undefined;
	const belief: Belief = { problem, spool: built.value.spool, planned, solved, spreads };
	const played = new Map<MethodSlug, Played[]>();
	for (let i = 0; i < trials; i++) {
		for (const [slug, result] of playMethods(belief, seed + i)) {
			const results = played.get(slug) ?? [];
			results.push(result);
			played.set(slug, results);
		}
		yield i + 1;
	}
	const rungs = [...played].flatMap(([slug, results]) => {
		const wanted = results.map(() => problem.gapMm);
		return results.length > trials / 2 ? [summariseMethod(slug, results, wanted)] : [];
	});
	return recommended(rungs);
}

/** The method to use: the least work that is safe, else the one that errs least. Undefined when there is none. */
function recommended(rungs: readonly Rung[]): Ladder | undefined {
	const handy = rungs.filter(
		({ slug }) => METHODS.find((method) => method.slug === slug)!.takes === undefined
	);
	const safe = handy.filter((r) => r.rubProbability <= RUB_LIMIT && r.gapError95Mm <= GAP_ERROR_LIMIT_MM);
	const least = Math.min(...safe.map((r) => r.extraTurns));
	const byError = (a: Rung, b: Rung): number => a.gapError95Mm - b.gapError95Mm;
	const easy = safe.filter((r) => r.extraTurns <= least).sort(byError);
	// Of those that err as little as the best does, to what so many plays can tell, the one that asks for the fewest readings.
	const best = easy
		.filter((r) => r.gapError95Mm <= SAME_ERROR * easy[0]!.gapError95Mm)
		.sort((a, b) => a.readings - b.readings)[0];
	if (best) return { rungs, recommended: best.slug, because: 'least-work-that-is-safe' };
	const closest = [...handy].sort(byError)[0];
	return closest && { rungs, recommended: closest.slug, because: 'errs-least' };
}
