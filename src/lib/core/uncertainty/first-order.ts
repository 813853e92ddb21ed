import { spoolOf } from '../calibrate/source';
import { solveFit, type Fit } from '../fit/solve';
import { sharesOf, type InputKey, type Problem } from './inputs';
import { jointInputs } from './joint';
import { outcomeOf, planOf } from './outcome';
import { propagate, type Move, type Range } from './propagate';
import { DEFAULT_SPREADS, type Spreads } from './spreads';

export type Answer = 'lengthMm' | 'stopDepthMm' | 'turns' | 'gapMm' | 'gapByLengthMm';
type Answers = Record<Answer, number>;

export interface Share {
	readonly key: InputKey | 'depth-reading';
	readonly component?: number;
	/** Share of the answer's variance, 0–1. */
	readonly share: number;
}

export interface FirstOrder {
	/**
	 * `gapMm` is the gap after winding to the planned depth, which is what a person with a rule does;
	 * `gapByLengthMm` after winding the planned length. With nothing to solve they are the same.
	 */
	readonly ranges: Record<Answer, Range>;
	/** What the uncertainty of the final gap comes from, largest first. */
	readonly gapShares: readonly Share[];
	/** The same for the length. */
	readonly lengthShares: readonly Share[];
}

type Label = Omit<Share, 'share'>;

/** First-order ranges of all the answers of a problem, whose fit is `planned`. See {@link propagate}. */
export function firstOrder(problem: Problem, planned: Fit, spreads: Spreads = DEFAULT_SPREADS): FirstOrder {
	const plan = planOf(planned);
	const answersOf = (truth: Problem, depthErrorMm = 0): Answers | undefined => {
		const built = spoolOf(truth.source);
		const solved = built.ok ? solveFit(built.value.spool, truth.stack, truth.gapMm) : built;
		const outcome = outcomeOf(truth, plan, depthErrorMm);
		if (!solved.ok || !outcome) return undefined;
		const { lengthMm = NaN, stopDepthMm = NaN, turns = NaN } = solved.value.solved ?? {};
		return {
			lengthMm,
			stopDepthMm,
			turns,
			gapMm: outcome.gapByDepthMm,
			gapByLengthMm: outcome.gapByLengthMm
		};
	};
	const nominal = answersOf(problem);
	if (!nominal) throw new RangeError('the problem itself has no answer');

	const { labels, moved } = jointInputs(problem, spreads);
	const none = labels.map(() => 0);
	const moves = labels.map((label, i): Move<Answer, Label> => ({
		label,
		answers: (z) => answersOf(moved(none.with(i, z)))
	}));
	if (plan)
		moves.push({
			label: { key: 'depth-reading' },
			answers: (z) => answersOf(problem, z * spreads.depthMm)
		});
	const { range, shares } = propagate(nominal, moves);
	const named = (answer: Answer): Share[] =>
		sharesOf(shares(answer).map(({ label, share }) => ({ label, part: share })));
	return {
		ranges: {
			lengthMm: range('lengthMm', 0),
			stopDepthMm: range('stopDepthMm'),
			turns: range('turns', 0),
			gapMm: range('gapMm'),
			gapByLengthMm: range('gapByLengthMm')
		},
		gapShares: named('gapMm'),
		lengthShares: planned.solved ? named('lengthMm') : []
	};
}
