/**
 * Which piece is cut from which length, so that nobody gets a joint in the backing, few lengths are left over that are of no use, and
 * what is missing is known. This is the cutting-stock problem with leftovers that can be used again. Sources, from memory: P. C.
 * Gilmore and R. E. Gomory, A Linear Programming Approach to the Cutting-Stock Problem (1961); A. C. Cherri, M. N. Arenales and
 * H. H. Yanasse, The one-dimensional cutting stock problem with usable leftover (2009).
 */

/** A piece that is wanted whole. */
export interface WantedCut {
	readonly id: string;
	/** Only lengths of the same thing serve. */
	readonly what: string;
	readonly lengthMm: number;
}

/** A length that can be cut from: what is surely left of it. */
export interface CutSource {
	readonly id: string;
	readonly what: string;
	readonly leftMm: number;
}

export interface CutQuestion {
	/** The one that is due first comes first: where not all can be served, the later ones wait. */
	readonly wanted: readonly WantedCut[];
	readonly sources: readonly CutSource[];
	/** What is left of a length is of use from here on. */
	readonly usefulMm: number;
	/** The source of each piece in the plan before: a piece stays there unless moving it saves {@link MOVE_COSTS_M} of backing. */
	readonly before: ReadonlyMap<string, string>;
}

/** The source of each piece; pieces that none is long enough for are not in it. */
export type Cuts = ReadonlyMap<string, string>;

/** What moving a piece to another length has to save, m of backing. */
export const MOVE_COSTS_M = 10;

export const metres = (mm: number): number => mm / 1000;

/** What a missing piece costs: more than all the lengths together could lose, and the more the earlier it is due, never as much as two. */
export function missingCosts({ wanted, sources, usefulMm }: CutQuestion): number[] {
	const whole = 1 + (sources.length + 1) * metres(usefulMm) + wanted.length * MOVE_COSTS_M;
	return wanted.map((_, i) => whole * (1 + (wanted.length - i) / (wanted.length + 1) ** 2));
}

/** What it costs to cut a piece from a source: nothing, unless it was to be cut from another one. */
export const sourceCost = ({ before }: CutQuestion, piece: WantedCut, source: CutSource): number =>
	(before.get(piece.id) ?? source.id) === source.id ? 0 : MOVE_COSTS_M;

export const remaindersOf = ({ wanted, sources }: CutQuestion, cuts: Cuts): number[] =>
	sources.map(({ id, leftMm }) =>
		wanted.reduce((left, piece) => (cuts.get(piece.id) === id ? left - piece.lengthMm : left), leftMm)
	);

/** Backing in lengths of no use once these cuts are made, mm. */
export const uselessMm = (question: CutQuestion, cuts: Cuts): number =>
	remaindersOf(question, cuts).reduce((sum, left) => (left < question.usefulMm ? sum + left : sum), 0);

/**
 * Less than this cannot be lost, mm: what each short end has left over when it alone gets the pieces that use most of it. What is of
 * use now can stay so.
 */
export function leastUselessMm({ wanted, sources, usefulMm }: CutQuestion): number {
	return sources.reduce((sum, { what, leftMm }) => {
		if (leftMm >= usefulMm) return sum;
		// Whole millimetres: a sum of pieces that is rounded down only lowers the bound.
		let sums = new Set([0]);
		for (const piece of wanted)
			if (piece.what === what)
				sums = new Set(
					[...sums, ...[...sums].map((one) => one + piece.lengthMm)].filter((one) => one <= leftMm)
				);
		return sum + leftMm - Math.max(...sums);
	}, 0);
}

/** What a plan costs, m; infinite for one that cannot be cut. What the solver makes least. */
export function costOf(question: CutQuestion, cuts: Cuts): number {
	if (remaindersOf(question, cuts).some((left) => left < 0)) return Infinity;
	const missing = missingCosts(question);
	return question.wanted.reduce(
		(sum, piece, i) => {
			const source = question.sources.find(({ id }) => id === cuts.get(piece.id));
			if (source && source.what !== piece.what) return Infinity;
			return sum + (source ? sourceCost(question, piece, source) : missing[i]!);
		},
		metres(uselessMm(question, cuts))
	);
}
