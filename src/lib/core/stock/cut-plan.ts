import {
	costOf,
	leastUselessMm,
	metres,
	uselessMm,
	type CutQuestion,
	type Cuts,
	type WantedCut
} from './cut-question';
import { byHand } from './by-hand';
import { cutsOf, programmeOf, valuesOf, type Solve } from './programme';

export interface CutPlan {
	readonly cuts: Cuts;
	/** Pieces that have to be bought. */
	readonly missing: readonly WantedCut[];
	/** Backing that ends up in lengths of no use, mm. */
	readonly uselessMm: number;
	/** Nothing is better than this by more than so much, in the costs of {@link costOf}; 0 where the plan is proved the best. */
	readonly withinM: number;
}

/** Plans that differ by less are as good as each other, m. */
const SAME_M = 0.01;

/** The parts of a question that have nothing to do with each other: one a kind of backing. */
const partsOf = (question: CutQuestion): CutQuestion[] =>
	[...new Set(question.wanted.map(({ what }) => what))].map((what) => ({
		...question,
		wanted: question.wanted.filter((piece) => piece.what === what),
		sources: question.sources.filter((source) => source.what === what)
	}));

/** The plan of one part, and by how much another could be better, m. What cannot be bettered needs no solver. */
function planPart(part: CutQuestion, share: number, solve: Solve): { own: Cuts; shortM: number } {
	const start = byHand(part);
	const shortM = costOf(part, start) - metres(leastUselessMm(part));
	if (shortM < SAME_M) return { own: start, shortM: 0 };
	const solved = solve({ text: programmeOf(part), start: valuesOf(part, start), share });
	return solved
		? { own: cutsOf(part, solved), shortM: Math.min(solved.withinM, shortM) }
		: { own: start, shortM };
}

/**
 * Plans the cuts, one kind of backing after another; yields the share that is done after each. The same question has the same plan.
 *
 * @param solve the solver; where it finds nothing in its time, the plan is that of {@link byHand}
 */
export function* planCuts(question: CutQuestion, solve: Solve): Generator<number, CutPlan> {
	const parts = partsOf(question);
	const cuts = new Map<string, string>();
	let withinM = 0;
	for (const [i, part] of parts.entries()) {
		const { own, shortM } = planPart(part, part.wanted.length / question.wanted.length, solve);
		for (const [piece, source] of own) cuts.set(piece, source);
		withinM += shortM;
		yield (i + 1) / parts.length;
	}
	return {
		cuts,
		missing: question.wanted.filter(({ id }) => !cuts.has(id)),
		uselessMm: uselessMm(question, cuts),
		withinM
	};
}
