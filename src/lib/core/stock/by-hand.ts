import {
	costOf,
	metres,
	missingCosts,
	sourceCost,
	type CutQuestion,
	type Cuts,
	type CutSource,
	type WantedCut
} from './cut-question';

/** Where a piece comes from: the place of a source, or nowhere. */
const NOWHERE = -1;
/** A change that betters a plan by less than this, m, is none. */
const BETTER_M = 1e-6;

/** A plan that is being bettered: the source of each piece, and what is left of each. */
class Board {
	readonly #question: CutQuestion;
	readonly #missing: readonly number[];
	readonly from: number[];
	readonly #leftMm: number[];

	constructor(question: CutQuestion) {
		this.#question = question;
		this.#missing = missingCosts(question);
		this.from = question.wanted.map(() => NOWHERE);
		this.#leftMm = question.sources.map(({ leftMm }) => leftMm);
	}

	#piece = (i: number): WantedCut => this.#question.wanted[i]!;
	#source = (j: number): CutSource => this.#question.sources[j]!;
	/** Backing of no use in a source with so much left, m; more than any for less than nothing. */
	#lost = (leftMm: number): number =>
		leftMm < 0 ? Infinity : leftMm < this.#question.usefulMm ? metres(leftMm) : 0;

	/** What a piece costs where it is, apart from what is lost. */
	#placed = (i: number, j: number): number => {
		if (j === NOWHERE) return this.#missing[i]!;
		return this.#source(j).what === this.#piece(i).what
			? sourceCost(this.#question, this.#piece(i), this.#source(j))
			: Infinity;
	};

	/** How the cost changes when a source has so much more, or less, left. */
	#loses = (j: number, byMm: number): number =>
		j === NOWHERE ? 0 : this.#lost(this.#leftMm[j]! + byMm) - this.#lost(this.#leftMm[j]!);

	/** How the cost changes when a piece is cut from another source. */
	moving(i: number, to: number): number {
		const from = this.from[i]!;
		const { lengthMm } = this.#piece(i);
		if (from === to) return 0;
		return (
			this.#placed(i, to) - this.#placed(i, from) + this.#loses(to, -lengthMm) + this.#loses(from, lengthMm)
		);
	}
	/** How it changes when two pieces change places. */
	swapping(i: number, k: number): number {
		const [a, b] = [this.from[i]!, this.from[k]!];
		if (a === b) return 0;
		const more = this.#piece(i).lengthMm - this.#piece(k).lengthMm;
		return (
			this.#placed(i, b) +
			this.#placed(k, a) -
			this.#placed(i, a) -
			this.#placed(k, b) +
			this.#loses(a, more) +
			this.#loses(b, -more)
		);
	}
	move(i: number, to: number): void {
		const { lengthMm } = this.#piece(i);
		const from = this.from[i]!;
		if (from !== NOWHERE) this.#leftMm[from]! += lengthMm;
		if (to !== NOWHERE) this.#leftMm[to]! -= lengthMm;
		this.from[i] = to;
	}

	/** Puts a piece where it costs least; of places that cost the same, on the shortest length. */
	place(i: number): void {
		let [best, least] = [NOWHERE, 0];
		this.#question.sources.forEach((_, j) => {
			const cost = this.moving(i, j);
			const shorter = best !== NOWHERE && this.#leftMm[j]! < this.#leftMm[best]!;
			if (cost < least - BETTER_M || (cost <= least + BETTER_M && shorter)) [best, least] = [j, cost];
		});
		this.move(i, best);
	}

	/** One round of moving and swapping whatever betters the plan; false where nothing does. */
	better(): boolean {
		let bettered = false;
		this.from.forEach((_, i) => {
			for (let j = NOWHERE; j < this.#question.sources.length; j++)
				if (this.moving(i, j) < -BETTER_M) {
					this.move(i, j);
					bettered = true;
				}
			for (let k = i + 1; k < this.from.length; k++)
				if (this.swapping(i, k) < -BETTER_M) {
					const [a, b] = [this.from[i]!, this.from[k]!];
					this.move(i, NOWHERE);
					this.move(k, a);
					this.move(i, b);
					bettered = true;
				}
		});
		return bettered;
	}

	cuts = (): Cuts =>
		new Map(
			this.from.flatMap((j, i) => (j === NOWHERE ? [] : [[this.#piece(i).id, this.#source(j).id] as const]))
		);
}

/** Rounds that are enough for any queue here; each only ever betters the plan. */
const MOST_ROUNDS = 50;

/**
 * A good plan as somebody would make it by hand: one piece after another from where least is lost, and then pieces moved and swapped for
 * as long as that betters it. The longest first lose least where there is enough, the shortest first serve most where there is not, and
 * as they are due is fair: the best of the three. No proof that it is the best there is.
 */
export function byHand(question: CutQuestion): Cuts {
	const due = question.wanted.map((_, i) => i);
	const lengthOf = (i: number): number => question.wanted[i]!.lengthMm;
	const longest = due.toSorted((a, b) => lengthOf(b) - lengthOf(a));
	const plans = [longest, longest.toReversed(), due].map((order) => {
		const board = new Board(question);
		for (const i of order) board.place(i);
		for (let round = 0; round < MOST_ROUNDS && board.better(); round++);
		return board.cuts();
	});
	return plans.reduce((best, cuts) => (costOf(question, cuts) < costOf(question, best) ? cuts : best));
}
