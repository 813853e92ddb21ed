import { spoolOf } from '../calibrate/source';
import { stopOf } from '../fit/stack';
import { solveFit, surfaceForGap } from '../fit/solve';
import { gradients, type Observed } from '../estimate/posterior';
import { IMPOSSIBLE_Z, type Reading } from '../estimate/reading';
import { storyOf } from '../estimate/story';
import { stateOf, type State, type World } from '../estimate/world';
import { uncertainInputs, type Problem } from '../uncertainty/inputs';
import { jointInputs } from '../uncertainty/joint';
import type { Spreads } from '../uncertainty/spreads';
import { mixOfInput, mixOfNuisance, type Mix, type Things } from './things';

/** A finished winding as the rack learns from it. */
export interface RackWinding extends Things {
	readonly id: string;
	/** The set-up as it is described: nothing learnt is in it. */
	readonly problem: Problem;
	readonly spreads: Spreads;
	/** What was read, in order. */
	readonly readings: readonly Reading[];
}

/** A winding by itself: its own state, what that is made of, and what was observed of it. */
export interface Local {
	readonly winding: RackWinding;
	readonly state: State;
	/** Deviations of the rack that it has a part in, each once. */
	readonly ids: readonly string[];
	/** What each deviation of its own state is made of, by place in `ids`. */
	readonly mixes: readonly (readonly (readonly [at: number, by: number])[])[];
	readonly observed: readonly Observed<World>[];
	/** The observations near where nothing is off. */
	readonly described: readonly Linearised[];
	/** Of each observation whether it can be, by what is described of the winding alone. */
	readonly possible: readonly boolean[];
}

/** Undefined for a winding whose set-up makes no spool, or of which nothing was read. */
export function localOf(winding: RackWinding): Local | undefined {
	const { problem, spreads, readings, id } = winding;
	const built = spoolOf(problem.source);
	if (!built.ok || !surfaceForGap(built.value.spool, problem.gapMm).ok) return undefined;
	const planned = solveFit(built.value.spool, problem.stack, problem.gapMm);
	if (!planned.ok) return undefined;
	const story = storyOf(problem.stack, stopOf(problem.stack), planned.value, readings, spreads);
	const { rimRadiusMm, arborRadiusMm } = built.value.spool;
	// A reading of long ago cannot be taken again: any of them may be a slip.
	const slipWithin = (rimRadiusMm - arborRadiusMm) / 2;
	const observed = story.told.flatMap((told) => told.observed.map((one) => ({ ...one, slipWithin })));
	const state = stateOf(jointInputs(problem, spreads), story.nuisances);
	const described = linearise({ state, observed }, new Array<number>(state.count).fill(0));
	if (observed.length === 0 || !described) return undefined;
	const mixes: Mix[] = [
		...uncertainInputs(problem, spreads).map((input) => mixOfInput(input, problem, spreads, winding)),
		...story.nuisances.map((nuisance) => mixOfNuisance(nuisance, id, winding))
	];
	const ids = [...new Set(mixes.flatMap((mix) => mix.map(([of]) => of)))];
	return {
		winding,
		state,
		ids,
		mixes: mixes.map((mix) => mix.map(([of, by]) => [ids.indexOf(of), by] as const)),
		observed,
		described,
		possible: described.map(
			({ constant, slopes }) => Math.abs(constant) < IMPOSSIBLE_Z * Math.hypot(1, ...slopes)
		)
	};
}

/** What one observation is off by near one state of its winding, in its own σ: `constant` less the sum of `slopes` times the state. */
export interface Linearised {
	readonly constant: number;
	readonly slopes: readonly number[];
}

/** A winding's observations near one state of it; undefined where that is no spool, or where nothing finite would be read on it. */
export function linearise(
	{ state, observed }: Pick<Local, 'state' | 'observed'>,
	at: readonly number[]
): Linearised[] | undefined {
	const world = state.worldAt(at);
	if (!world) return undefined;
	const rows = gradients(
		state,
		at,
		observed.map(({ predict }) => predict)
	);
	const found = observed.map(({ value, sigma, predict }, k): Linearised => {
		const slopes = rows.map((row) => row[k]! / sigma);
		const constant = (value - predict(world)) / sigma;
		return { constant: slopes.reduce((sum, slope, i) => sum + slope * at[i]!, constant), slopes };
	});
	return found.every(({ constant }) => Number.isFinite(constant)) ? found : undefined;
}
