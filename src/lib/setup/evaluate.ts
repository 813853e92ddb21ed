import {
	all,
	asSeenAlone,
	DEFAULT_SPREADS,
	firstOrder,
	isKnown,
	learntBelow,
	level,
	ok,
	solveFit,
	spoolOf,
	stopOf,
	within,
	type FirstOrder,
	type Fit,
	type KnownComponent,
	type KnownSpool,
	type Problem,
	type Result,
	type Spreads,
	type Stack
} from '$lib/core';
import { componentOf, type SetupDescription } from './description';
import { asLearnt } from './learnt';

/** What a described set-up amounts to: the answers and their ranges. */
export interface Evaluation {
	readonly problem: Problem;
	readonly known: KnownSpool;
	readonly fit: Fit;
	readonly estimate: FirstOrder;
	/** 1σ of every input, as said or as usual. */
	readonly spreads: Spreads;
	/** From the arbor outward, every length known, the solved one too. */
	readonly stack: readonly KnownComponent[];
	/** Place of the strand whose end is the stop: the one that is solved, else the backing; −1 when none. */
	readonly stopIndex: number;
	/** The line's bulk was measured on this very spool. */
	readonly halfFitted: boolean;
}

const spreadsOf = ({ spreads }: SetupDescription): Spreads => ({ ...DEFAULT_SPREADS, ...spreads });

const knownStack = (stack: Stack, fit: Fit): KnownComponent[] =>
	stack.map((c, i) => (isKnown(c) ? c : { ...c, sections: [level(fit.layers[i]!.lengthMm, c.diameterMm)] }));

/** The problem as it is described, or as it was seen to lie when half-fit or reverse fill were done. */
function asSeen(
	described: Problem,
	stopIndex: number,
	{ halfFitMm: depthMm, reverseTurns }: SetupDescription,
	spreads: Spreads
): Result<{ problem: Problem; seen: boolean }> {
	if (depthMm === undefined || stopIndex < 0 || stopIndex + 1 >= described.stack.length)
		return ok({ problem: described, seen: false });
	const stack = asSeenAlone(described, { depthMm, reverseTurns }, spreads);
	if (stack.ok) {
		const first = reverseTurns === undefined ? stopIndex + 1 : stopIndex;
		const learnt = described.learnt && learntBelow(described.learnt, first);
		return ok({ problem: { ...described, stack: stack.value, learnt }, seen: true });
	}
	const at: Record<string, string> = { depthMm: 'halfFitMm', turns: 'reverseTurns' };
	return {
		ok: false,
		issues: stack.issues.map((issue) => {
			const [first, ...rest] = issue.path;
			return { ...issue, path: first === undefined ? [] : [at[first] ?? first, ...rest] };
		})
	};
}

/** A set-up as the core takes it, as it is described: nothing that was seen or learnt is in it. Issues carry paths into the description. */
export function problemOf(description: SetupDescription): Result<{ problem: Problem; spreads: Spreads }> {
	const { spool: source, gapMm } = description;
	const spool = within(spoolOf(source), 'spool');
	const stack = all(
		description.stack.map((strand) => componentOf(strand, description.spreads)),
		(i) => ['stack', i]
	);
	if (!stack.ok || !spool.ok)
		return { ok: false, issues: [spool, stack].flatMap((read) => (read.ok ? [] : read.issues)) };
	return ok({ problem: { source, stack: stack.value, gapMm }, spreads: spreadsOf(description) });
}

function evaluatedAs(description: SetupDescription): Result<Evaluation> {
	const described = problemOf(description);
	if (!described.ok) return described;
	const { problem: plain, spreads } = described.value;
	const stopIndex = stopOf(plain.stack);
	const lying = asSeen(asLearnt(plain, spreads, description), stopIndex, description, spreads);
	if (!lying.ok) return lying;
	const { problem } = lying.value;
	const known = within(spoolOf(problem.source), 'spool');
	if (!known.ok) return known;
	const fit = solveFit(known.value.spool, problem.stack, problem.gapMm);
	if (!fit.ok) return fit;
	return ok({
		problem,
		known: known.value,
		fit: fit.value,
		spreads,
		estimate: firstOrder(problem, fit.value, spreads),
		stack: knownStack(problem.stack, fit.value),
		stopIndex,
		halfFitted: lying.value.seen
	});
}

/**
 * Works out a described set-up: answers, and the ranges they have with what may be off in each input. Issues carry paths
 * into the description. Where what was learnt leaves no answer, it is left aside.
 */
export function evaluate(description: SetupDescription): Result<Evaluation> {
	const evaluated = evaluatedAs(description);
	return evaluated.ok || !description.learnt ? evaluated : evaluatedAs({ ...description, learnt: undefined });
}
