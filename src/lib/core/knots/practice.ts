import { seededRandom } from '../numeric/random';
import { flaws } from './flaws';
import type { DrawnKnot, Knot } from './knot';
import type { KnotStrand } from './strand';

/** A picture to choose from: how a knot lies. */
export interface Choice {
	readonly strands: readonly KnotStrand[];
	/** A little turned, radians, so that pictures of one thing are not copies. */
	readonly yaw: number;
	readonly pitch: number;
}

export type Exercise =
	| {
			readonly kind: 'next';
			/** The stage that is shown, counted from 0. */
			readonly stage: number;
			readonly choices: readonly Choice[];
			readonly right: number;
	  }
	| {
			readonly kind: 'order';
			/** Stages as they are laid out: each a place in the order of tying. */
			readonly laidOut: readonly number[];
	  }
	| {
			readonly kind: 'wrong';
			readonly stage: number;
			readonly choices: readonly Choice[];
			/** The one that is tied wrong. */
			readonly right: number;
	  };

interface Chance {
	/** A whole number below `n`. */
	readonly below: (n: number) => number;
	readonly shuffled: <T>(items: readonly T[]) => T[];
	readonly turned: () => Pick<Choice, 'yaw' | 'pitch'>;
}

function chance(seed: number): Chance {
	const { uniform } = seededRandom(seed);
	const below = (n: number): number => Math.floor(uniform() * n);
	return {
		below,
		shuffled: (items) => {
			// Fisher and Yates, as Durstenfeld has it (CACM algorithm 235, 1964).
			const pile = [...items];
			for (let i = pile.length - 1; i > 0; i--) {
				const j = below(i + 1);
				[pile[i], pile[j]] = [pile[j]!, pile[i]!];
			}
			return pile;
		},
		turned: () => ({ yaw: 0.24 * (uniform() - 0.5), pitch: 0.24 * (uniform() - 0.5) })
	};
}

const STRAIGHT = { yaw: 0, pitch: 0 };

function nextStage({ stages }: DrawnKnot, wraps: number, { below, shuffled }: Chance): Exercise {
	const stage = below(stages.length - 1);
	const others = stages.map((_, i) => i).filter((i) => i !== stage && i !== stage + 1);
	const shown = shuffled([stage + 1, ...shuffled(others).slice(0, 3)]);
	return {
		kind: 'next',
		stage,
		choices: shown.map((i) => ({ strands: stages[i]!.strands(wraps), ...STRAIGHT })),
		right: shown.indexOf(stage + 1)
	};
}

function inOrder({ stages }: DrawnKnot, { shuffled }: Chance): Exercise {
	const order = stages.map((_, i) => i);
	const laidOut = shuffled(order);
	// Chance may lay them out in order: then there is nothing to do.
	return { kind: 'order', laidOut: laidOut.every((stage, i) => stage === i) ? order.reverse() : laidOut };
}

/** One of three with a crossing the wrong way. None where no crossing makes another knot of it. */
function whichIsWrong(
	{ stages }: DrawnKnot,
	wraps: number,
	{ below, shuffled, turned }: Chance
): Exercise | undefined {
	// In a tight knot nobody can tell one crossing from the next.
	const late = stages.flatMap(({ tight }, i) => (tight ? [] : [i])).slice(-3);
	for (const stage of shuffled(late)) {
		const strands = stages[stage]!.strands(wraps);
		const wrong = flaws(strands);
		if (wrong.length === 0) continue;
		const pictures = shuffled([wrong[below(wrong.length)]!, strands, strands]);
		return {
			kind: 'wrong',
			stage,
			choices: pictures.map((picture) => ({ strands: picture, ...turned() })),
			right: pictures.findIndex((picture) => picture !== strands)
		};
	}
	return undefined;
}

/** As many wraps as it is practised with: as usual, but few enough to be read in a small picture. */
export const practiceWraps = ({ wraps }: Pick<Knot, 'wraps'>): number =>
	Math.max(wraps.least, Math.min(wraps.usual, 5));

/**
 * What there is to practise of a knot, one of each kind, the same for the same seed: which stage comes next, put them
 * in order, which is tied wrong (where one flipped crossing makes another knot).
 */
export function exercisesOf(knot: DrawnKnot, seed: number): Exercise[] {
	const luck = chance(seed);
	const wraps = practiceWraps(knot);
	const wrong = whichIsWrong(knot, wraps, luck);
	return [nextStage(knot, wraps, luck), inOrder(knot, luck), ...(wrong ? [wrong] : [])];
}
