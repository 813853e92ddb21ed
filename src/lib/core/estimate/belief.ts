import { spoolOf } from '../calibrate/source';
import { solveFit, surfaceForGap, type Fit } from '../fit/solve';
import { stopOf } from '../fit/stack';
import { fail, ok, within, type Result } from '../issues';
import type { Problem } from '../uncertainty/inputs';
import { jointInputs } from '../uncertainty/joint';
import type { Spreads } from '../uncertainty/spreads';
import { ofSpool, ofStrands, OTHER_TIMES } from './labels';
import { gradient, posterior, updated, varianceAlong, type Observed, type Posterior } from './posterior';
import { ranged, type Ranged } from './ranged';
import type { Reading } from './reading';
import { storyOf, type Story, type Told } from './story';
import { plausible, SURPRISE_Z, type Explanation } from './surprise';
import { stateOf, type State, type World } from './world';

/** A reading against what those before it leave open. */
export interface Judged {
	readonly told: Told;
	/** What was expected; undefined where an amount was told and nothing was read. */
	readonly expected: Ranged | undefined;
	/** How far off the reading is, in standard deviations of what was expected. */
	readonly z: number | undefined;
	/** It contradicts what is known, and nobody has said why: it was left out. */
	readonly surprise: boolean;
	/** It is part of the posterior. */
	readonly counts: boolean;
	/** What may be behind a surprise, the most plausible first. */
	readonly explanations: readonly Explanation[];
}

/** Everything that an estimate is taken from. */
export interface Belief {
	readonly problem: Problem;
	readonly spreads: Spreads;
	readonly planned: Fit;
	/** Place of the strand that is wound to the gap. */
	readonly stop: number;
	readonly story: Story;
	readonly state: State;
	readonly posterior: Posterior<World>;
	readonly judged: readonly Judged[];
}

/** Half the width of what a slip could have read, mm: the depth of a spool. */
const slipWithin = ({ spool }: World): number => (spool.rimRadiusMm - spool.arborRadiusMm) / 2;

/** A reading that somebody has looked at twice and confirmed may still be a slip. */
const observing = (told: Told, world: World): Observed<World>[] =>
	told.reading.takenAs === 'confirmed'
		? told.observed.map((o) => ({ ...o, slipWithin: slipWithin(world) }))
		: [...told.observed];

/** What a reading should be, from a posterior. */
function foreseen(
	state: State,
	{ at, world, covariance }: Posterior<World>,
	{ predict, sigma }: Observed<World>
): { value: number; sigma: number } {
	const own = Math.sqrt(varianceAlong(covariance, gradient(state, at, predict)));
	return { value: predict(world), sigma: Math.hypot(own, sigma) };
}

const NOTHING_READ = { expected: undefined, z: undefined, surprise: false, counts: false, explanations: [] };

/** Takes the readings one by one, each against what those before it leave open; then all of those that count together. */
function judge(state: State, story: Story, stop: number): Pick<Belief, 'posterior' | 'judged'> {
	let belief = posterior(state, []);
	const observed: Observed<World>[] = [];
	const judged = story.told.map((told): Judged => {
		const [first] = told.observed;
		if (!first) return { told, ...NOTHING_READ };
		const seen = foreseen(state, belief, first);
		const z = (first.value - seen.value) / seen.sigma;
		const more = observing(told, belief.world);
		const after = more.reduce((before, one) => updated(state, before, one), belief);
		// Something that nobody knows explains much, but not what cannot be: a surface below the arbor, say.
		const left = (first.value - first.predict(after.world)) / first.sigma;
		const off = Math.max(Math.abs(z), Math.abs(left)) > SURPRISE_Z;
		const counts = !off || told.reading.takenAs !== undefined;
		const explanations = off ? plausible(state, belief, observed, told, stop) : [];
		if (counts) {
			observed.push(...more);
			belief = after;
		}
		return {
			told,
			expected: ranged(seen.value, seen.sigma),
			z: Math.abs(left) > Math.abs(z) ? left : z,
			surprise: !counts,
			counts,
			explanations
		};
	});
	return { posterior: observed.length > 0 ? posterior(state, observed, belief.at) : belief, judged };
}

/** Prior 1σ of every deviation, wider where somebody said that a strand or the spool is not what was thought. */
function sigmasOf({ labels }: State, readings: readonly Reading[], stop: number): number[] | undefined {
	const others = readings.flatMap((reading) => {
		if (reading.takenAs === 'other-room') return [ofStrands(reading, stop)];
		return reading.takenAs === 'other-spool' ? [ofSpool(reading, stop)] : [];
	});
	if (others.length === 0) return undefined;
	return labels.map((label) => (others.some((holds) => holds(label)) ? OTHER_TIMES : 1));
}

/**
 * What is believed of a set-up after readings, in their order. A reading further than {@link SURPRISE_Z} standard deviations from
 * what those before it leave open is left out until somebody says what is behind it (`takenAs`).
 *
 * Issues: those of the spool and the fit, `no_such_component`, `nothing_to_correct` when no strand is wound to the gap.
 */
export function believe(problem: Problem, readings: readonly Reading[], spreads: Spreads): Result<Belief> {
	const built = within(spoolOf(problem.source), 'spool');
	if (!built.ok) return built;
	const at = readings.findIndex((r) => 'component' in r && !problem.stack[r.component]);
	if (at >= 0) {
		const { component: index } = readings[at] as { component: number };
		return fail({ code: 'no_such_component', index, count: problem.stack.length }, [
			'readings',
			at,
			'component'
		]);
	}
	const target = surfaceForGap(built.value.spool, problem.gapMm);
	if (!target.ok) return target;
	const planned = solveFit(built.value.spool, problem.stack, problem.gapMm);
	if (!planned.ok) return planned;
	const stop = stopOf(problem.stack);
	if (stop < 0) return fail({ code: 'nothing_to_correct' }, ['stack']);
	const story = storyOf(problem.stack, stop, planned.value, readings, spreads);
	const plain = stateOf(jointInputs(problem, spreads), story.nuisances);
	const sigmas = sigmasOf(plain, readings, stop);
	const state = sigmas ? { ...plain, sigmas } : plain;
	return ok({ problem, spreads, planned: planned.value, stop, story, state, ...judge(state, story, stop) });
}
