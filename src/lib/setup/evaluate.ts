import {
	all,
	DEFAULT_SPREADS,
	firstOrder,
	HAND_REPEAT_SHARE,
	isKnown,
	level,
	ok,
	RELAY_SHARE,
	reverseFill,
	scaleBulk,
	solveFit,
	spaceMm3,
	spoolOf,
	surfaceAtDepth,
	volumeToRadius,
	widthAtRadius,
	within,
	type FirstOrder,
	type Fit,
	type Issue,
	type KnownComponent,
	type KnownSpool,
	type Problem,
	type Result,
	type Spool,
	type Spreads,
	type Stack
} from '$lib/core';
import { componentOf, type SetupDescription } from './description';

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

/**
 * What lies above the backing, with the bulk it was seen to have on the bare arbor: the depth says how much
 * space it takes, and its spread is that of the reading (1σ `readingMm`) and of laying it again.
 */
function halfFitted(
	stack: Stack,
	from: number,
	spool: Spool,
	depthMm: number,
	readingMm: number
): Result<Stack> {
	const surface = within(surfaceAtDepth(spool, depthMm), 'halfFitMm');
	if (!surface.ok) return surface;
	const seenMm3 = volumeToRadius(spool, surface.value);
	const factor = seenMm3 / stack.slice(from).reduce((sum, c) => sum + spaceMm3(c), 0);
	const perMm = 2 * Math.PI * surface.value * widthAtRadius(spool, surface.value);
	const bulkShare = (perMm * readingMm) / seenMm3;
	return ok(
		stack.map((c, i) =>
			i < from || !isKnown(c)
				? c
				: { ...c, sections: scaleBulk(c.sections, factor), spreads: { bulkShare, layShare: RELAY_SHARE } }
		)
	);
}

/** The backing as it lay over the line: its turns say what thickness and tightness come to together. */
function reverseFilled(stack: Stack, at: number, spool: Spool, description: SetupDescription): Result<Stack> {
	const backing = stack[at]!;
	const { halfFitMm, reverseTurns, gapMm } = description;
	if (isKnown(backing) || halfFitMm === undefined || reverseTurns === undefined) return ok(stack);
	const reading = { lineDepthMm: halfFitMm, turns: reverseTurns, gapMm };
	const told = reverseFill(spool, reading, backing.diameterMm);
	if (!told.ok) {
		const pathOf = ({ path }: Issue): Issue['path'] =>
			path[0] === 'lineDepthMm' ? ['halfFitMm'] : path[0] === 'gapMm' ? path : ['reverseTurns'];
		return { ok: false, issues: told.issues.map((issue) => ({ ...issue, path: pathOf(issue) })) };
	}
	const spreads = { diameterShare: 0, layShare: HAND_REPEAT_SHARE };
	return ok(stack.with(at, { ...backing, layEfficiency: told.value.layEfficiency, spreads }));
}

const spreadsOf = ({ spreads }: SetupDescription): Spreads => ({ ...DEFAULT_SPREADS, ...spreads });

const knownStack = (stack: Stack, fit: Fit): KnownComponent[] =>
	stack.map((c, i) => (isKnown(c) ? c : { ...c, sections: [level(fit.layers[i]!.lengthMm, c.diameterMm)] }));

/** The stack as it is described, or as it was seen to lie when half-fit or reverse fill were done. */
function asSeen(
	described: Stack,
	stopIndex: number,
	spool: Spool,
	description: SetupDescription
): Result<{ stack: Stack; seen: boolean }> {
	const { halfFitMm } = description;
	if (halfFitMm === undefined || stopIndex < 0 || stopIndex + 1 >= described.length)
		return ok({ stack: described, seen: false });
	const half = halfFitted(described, stopIndex + 1, spool, halfFitMm, spreadsOf(description).depthMm);
	if (!half.ok) return half;
	const reversed = reverseFilled(half.value, stopIndex, spool, description);
	return reversed.ok ? ok({ stack: reversed.value, seen: true }) : reversed;
}

/**
 * Works out a described set-up: answers, and the ranges they have with what may be off in each input. Issues carry paths
 * into the description.
 */
export function evaluate(description: SetupDescription): Result<Evaluation> {
	const known = within(spoolOf(description.spool), 'spool');
	const described = all(
		description.stack.map((strand) => componentOf(strand, description.spreads)),
		(i) => ['stack', i]
	);
	if (!described.ok || !known.ok)
		return { ok: false, issues: [known, described].flatMap((read) => (read.ok ? [] : read.issues)) };
	const { spool } = known.value;
	const open = described.value.findIndex((component) => !isKnown(component));
	const stopIndex = open >= 0 ? open : described.value.findLastIndex(({ role }) => role === 'backing');
	const lying = asSeen(described.value, stopIndex, spool, description);
	if (!lying.ok) return lying;
	const problem: Problem = { source: description.spool, stack: lying.value.stack, gapMm: description.gapMm };
	const fit = solveFit(spool, problem.stack, problem.gapMm);
	if (!fit.ok) return fit;
	const spreads = spreadsOf(description);
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
