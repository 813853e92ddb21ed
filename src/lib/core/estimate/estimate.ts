import { isKnown } from '../fit/stack';
import { ok, type Result } from '../issues';
import { crossSectionMm2 } from '../line/sections';
import { packingFraction } from '../packing/packing';
import type { Problem } from '../uncertainty/inputs';
import { DEFAULT_SPREADS, type Spreads } from '../uncertainty/spreads';
import { believe, type Belief, type Judged } from './belief';
import { measureNext, type NextMeasure } from './next';
import { gapAsItIs, gapByDepth, gapByLength, gapByTurns, progress, rightTodo, type Todo } from './outcome';
import { alongOf, gradient, gradients, varianceAlong } from './posterior';
import { ranged, type Ranged } from './ranged';
import { depthSigmaMm, type Reading } from './reading';
import { layOf, type World } from './world';

/** What one reading did. */
export interface ReadingAnswer extends Pick<Judged, 'expected' | 'z' | 'surprise' | 'explanations'> {
	/** By how much it moved each answer: with it, less without it. First order. */
	readonly moved: Record<'turns' | 'lengthMm' | 'stopDepthMm' | 'gapMm', number>;
}

/** The strand that is going on, or has gone on last. */
export interface Going {
	readonly component: number;
	/** Turns and length that are truly on. */
	readonly turns: Ranged;
	readonly lengthMm: Ranged;
	readonly depthMm: Ranged;
	/** Depth at which it began. */
	readonly startDepthMm: Ranged;
	/** Turns to its end and the depth there; of the strand that is wound to the gap, to its stop. */
	readonly turnsLeft: Ranged;
	readonly lengthLeftMm: Ranged;
	readonly endDepthMm: Ranged;
	/** η as its nominal diameter has it: thickness and tightness in one number. */
	readonly layEfficiency: Ranged;
}

export interface Estimate {
	/** Place of the strand that is wound to the gap: the one whose length is looked for, else the backing. */
	readonly stop: number;
	/** Undefined while the spool is bare. */
	readonly going: Going | undefined;
	/** Turns and length of that strand to go on from what is on now, negative to come off; the depth at which it then ends, and how much it is then in all. */
	readonly todo: Record<'turns' | 'lengthMm' | 'stopDepthMm' | 'wholeTurns' | 'wholeLengthMm', Ranged>;
	/** The final gap, by how the end is found; `asItIs`: when nothing is changed any more and the rest goes on. */
	readonly gap: Record<'byDepth' | 'byTurns' | 'byLength' | 'asItIs', Ranged>;
	/** How to find the end: what leaves the gap surest. */
	readonly stopBy: 'depth' | 'turns' | 'length';
	readonly layEfficiency: Ranged;
	readonly readings: readonly ReadingAnswer[];
	/** What to measure next, the best first. */
	readonly next: readonly NextMeasure[];
	/** Whether the search came to rest. Ranges are not to be trusted where it did not. */
	readonly converged: boolean;
}

/** Answers as functions of the world, with what they are at its most plausible state. */
function answering<Name extends string>(
	belief: Belief,
	answers: Readonly<Record<Name, (world: World) => number>>
) {
	const { state, posterior } = belief;
	const names = Object.keys(answers) as Name[];
	const rows = gradients(
		state,
		posterior.at,
		names.map((name) => answers[name])
	);
	const slopeOf = (name: Name): number[] => rows.map((row) => row[names.indexOf(name)]!);
	return {
		slopeOf,
		/** @param extra 1σ of what comes on top */
		of: (name: Name, extra = 0, floor?: number): Ranged =>
			ranged(
				answers[name](posterior.world),
				Math.hypot(Math.sqrt(varianceAlong(posterior.covariance, slopeOf(name))), extra),
				floor
			)
	};
}

/** What the rule at the stop adds to the final gap, 1σ, mm: one place, carried from the stop's surface to the finished one. */
function stopReadingSigma({ posterior, story, stop, spreads }: Belief, todo: Todo): number {
	const sigma = depthSigmaMm({}, spreads);
	const gap = (offMm: number): number => gapByDepth(posterior.world, story, stop, todo, offMm);
	return Math.abs(gap(sigma) - gap(-sigma)) / 2;
}

/**
 * How far the state moves when a reading is left out, at the linearisation of the whole: Δx = −C·h·r/(σ² − hᵀCh), r the reading's
 * residual.
 * Source: R. D. Cook & S. Weisberg, Residuals and Influence in Regression, 2.2.
 */
function withoutIt({ state, posterior }: Belief, { told, counts }: Judged): number[] {
	const [one] = told.observed;
	if (!counts || !one) return [];
	const slope = gradient(state, posterior.at, one.predict);
	const along = alongOf(posterior.covariance, slope);
	const left = one.sigma ** 2 - along.reduce((sum, c, i) => sum + c * slope[i]!, 0);
	const residual = one.value - one.predict(posterior.world);
	return left > 0 ? along.map((c) => (-c * residual) / left) : [];
}

/** η of a strand as its nominal diameter has it. */
function laidAs({ problem }: Belief, component: number): (world: World) => number {
	const strand = problem.stack[component]!;
	const diameterMm = isKnown(strand) ? strand.sections[0]!.startDiameterMm : strand.diameterMm;
	return ({ stack }) => (layOf(stack[component]!) * crossSectionMm2(diameterMm)) / packingFraction(1);
}

function goingOf(belief: Belief): Going | undefined {
	const { story, stop } = belief;
	const component = story.current;
	if (component < 0) return undefined;
	const at = (key: keyof ReturnType<typeof progress>) => (world: World) =>
		progress(world, story, component)[key];
	const wound = component === stop && !isKnown(belief.problem.stack[stop]!);
	const right = (key: keyof Todo) => (world: World) => rightTodo(world, story, stop, belief.problem)[key];
	const { of } = answering(belief, {
		turns: at('turns'),
		lengthMm: at('lengthMm'),
		depthMm: at('depthMm'),
		startDepthMm: at('startDepthMm'),
		turnsLeft: wound ? right('turns') : at('turnsLeft'),
		lengthLeftMm: wound ? right('lengthMm') : at('lengthLeftMm'),
		endDepthMm: wound ? right('stopDepthMm') : at('endDepthMm'),
		layEfficiency: laidAs(belief, component)
	});
	return {
		component,
		turns: of('turns', 0, 0),
		lengthMm: of('lengthMm', 0, 0),
		depthMm: of('depthMm'),
		startDepthMm: of('startDepthMm'),
		turnsLeft: of('turnsLeft'),
		lengthLeftMm: of('lengthLeftMm'),
		endDepthMm: of('endDepthMm'),
		layEfficiency: of('layEfficiency')
	};
}

/** The estimate that a belief amounts to. */
export function estimateOf(belief: Belief): Estimate {
	const { problem, story, stop, posterior, judged } = belief;
	const todo = rightTodo(posterior.world, story, stop, problem);
	const right = (key: keyof Todo) => (world: World) => rightTodo(world, story, stop, problem)[key];
	const { of, slopeOf } = answering(belief, {
		turns: right('turns'),
		lengthMm: right('lengthMm'),
		stopDepthMm: right('stopDepthMm'),
		wholeTurns: right('wholeTurns'),
		wholeLengthMm: right('wholeLengthMm'),
		byDepth: (world) => gapByDepth(world, story, stop, todo),
		byTurns: (world) => gapByTurns(world, story, stop, todo),
		byLength: (world) => gapByLength(world, story, stop, todo),
		asItIs: (world) => gapAsItIs(world, story, stop),
		layEfficiency: laidAs(belief, stop)
	});
	const ruleMm = stopReadingSigma(belief, todo);
	const gap = {
		byDepth: of('byDepth', ruleMm),
		byTurns: of('byTurns'),
		byLength: of('byLength'),
		asItIs: of('asItIs')
	};
	const span = ({ range }: Ranged): number => range.high - range.low;
	const stopBy = (['depth', 'turns', 'length'] as const).reduce((best, by) =>
		span(gap[GAP_BY[by]]) < span(gap[GAP_BY[best]]) ? by : best
	);
	const moved = (shift: readonly number[], name: Parameters<typeof slopeOf>[0]): number =>
		-shift.reduce((sum, move, i) => sum + move * slopeOf(name)[i]!, 0);
	return {
		stop,
		going: goingOf(belief),
		todo: {
			turns: of('turns'),
			lengthMm: of('lengthMm'),
			stopDepthMm: of('stopDepthMm'),
			wholeTurns: of('wholeTurns', 0, 0),
			wholeLengthMm: of('wholeLengthMm', 0, 0)
		},
		gap,
		stopBy,
		layEfficiency: of('layEfficiency'),
		readings: judged.map((one) => {
			const shift = withoutIt(belief, one);
			return {
				expected: one.expected,
				z: one.z,
				surprise: one.surprise,
				explanations: one.explanations,
				moved: {
					turns: moved(shift, 'turns'),
					lengthMm: moved(shift, 'lengthMm'),
					stopDepthMm: moved(shift, 'stopDepthMm'),
					gapMm: moved(shift, 'asItIs')
				}
			};
		}),
		next: measureNext(belief, slopeOf('byDepth'), ruleMm),
		converged: posterior.converged
	};
}
const GAP_BY = { depth: 'byDepth', turns: 'byTurns', length: 'byLength' } as const;

/**
 * What to do now, from a set-up and everything that was read: one posterior, from which all answers and ranges are taken. Ranges are
 * first order around the most plausible state. Issues: those of {@link believe}.
 */
export function estimate(
	problem: Problem,
	readings: readonly Reading[],
	spreads: Spreads = DEFAULT_SPREADS
): Result<Estimate> {
	const belief = believe(problem, readings, spreads);
	return belief.ok ? ok(estimateOf(belief.value)) : belief;
}

/**
 * Only what to do now, by somebody who reads carefully: a depth that surprises is read again, and then taken for what it is, a strand
 * that takes other room than was thought. What a method is played with, many times. Issues: those of {@link believe}.
 */
export function decide(problem: Problem, readings: readonly Reading[], spreads: Spreads): Result<Todo> {
	const belief = believe(problem, readings, spreads);
	if (!belief.ok) return belief;
	const { posterior, story, stop, judged } = belief.value;
	if (!judged.some(({ surprise }) => surprise)) return ok(rightTodo(posterior.world, story, stop, problem));
	return decide(
		problem,
		readings.map((reading, i) => (judged[i]!.surprise ? { ...reading, takenAs: 'other-room' } : reading)),
		spreads
	);
}
