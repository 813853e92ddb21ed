import { ranged, type Ranged } from '../estimate/ranged';
import { uncertainInputs, type Problem, type UncertainInput } from '../uncertainty/inputs';
import { moved } from '../uncertainty/joint';
import { carried, type Marginal } from './rack';
import type { Known } from './start';
import { mixOfInput } from './things';

/** Something as it was thought to be before anything was wound, and as it is known now. */
export interface BeforeAndNow {
	readonly before: Ranged;
	readonly now: Ranged;
}

const inputsOf = ({ problem, spreads }: Known, which: (input: UncertainInput) => boolean): UncertainInput[] =>
	uncertainInputs(problem, spreads).filter(which);

/** Ids of the deviations behind some of a set-up's inputs. */
export const idsBehind = (known: Known, which: (input: UncertainInput) => boolean): string[] =>
	inputsOf(known, which).flatMap((input) =>
		mixOfInput(input, known.problem, known.spreads, known.things).map(([id]) => id)
	);

/** Step of the differences, in standard deviations. */
const STEP = 0.1;

/**
 * What is known of a quantity of a set-up, with what some of its inputs leave open: to the first order, before and now.
 *
 * @param of the quantity; undefined where the set-up makes no spool
 * @throws RangeError where the set-up as it is described makes none
 */
export function beforeAndNow(
	known: Known,
	which: (input: UncertainInput) => boolean,
	learnt: Marginal,
	of: (problem: Problem) => number | undefined
): BeforeAndNow {
	const { problem, spreads, things } = known;
	const inputs = inputsOf(known, which);
	const { mean, covariance } = carried(
		inputs.map((input) => mixOfInput(input, problem, spreads, things)),
		learnt
	);
	const at = (z: readonly number[]): number | undefined => of(moved(problem, inputs, z));
	const none = inputs.map(() => 0);
	const nominal = at(none);
	if (nominal === undefined) throw new RangeError('a set-up that makes no spool has no such quantity');
	const slopesAt = (z: readonly number[], value: number): number[] =>
		z.map((own, i) => ((at(z.with(i, own + STEP)) ?? value) - value) / STEP);
	const value = at(mean) ?? nominal;
	const [plain, slopes] = [slopesAt(none, nominal), slopesAt(mean, value)];
	const variance = slopes.reduce(
		(sum, a, i) => sum + slopes.reduce((part, b, j) => part + a * b * covariance[i]![j]!, 0),
		0
	);
	return {
		before: ranged(nominal, Math.hypot(...plain)),
		now: ranged(value, Math.sqrt(Math.max(variance, 0)))
	};
}
