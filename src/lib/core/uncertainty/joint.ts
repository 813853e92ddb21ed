import { choleskyOf, type Matrix } from '../numeric/cholesky';
import {
	labelOf,
	tighter,
	uncertainInputs,
	type InputLabel,
	type LearntSpreads,
	type Problem
} from './inputs';
import type { Spreads } from './spreads';

/** The uncertain inputs of a problem as independent standard-normal deviations, whatever was learnt of them. */
export interface JointInputs {
	/** What each deviation belongs to: of inputs that were learnt together, the first that it moves. */
	readonly labels: readonly InputLabel[];
	/** The problem with all of them off at once. */
	readonly moved: (x: readonly number[]) => Problem;
}

/** Lower triangle that makes the inputs' own deviations of independent ones; undefined where they are the same. */
function mixOf(ids: readonly string[], learnt: LearntSpreads | undefined): Matrix | undefined {
	if (!learnt) return undefined;
	const places = ids.map((id) => learnt.inputs.indexOf(id));
	if (places.every((at) => at < 0)) return undefined;
	return choleskyOf(
		places.map((i, a) =>
			places.map((j, b) => {
				if (a === b && i < 0) return 1;
				return i < 0 || j < 0 ? 0 : learnt.covariance[i]![j]!;
			})
		)
	);
}

/** What was learnt, without the strands from a place outward: of those something else is known. */
export function learntBelow({ inputs, covariance }: LearntSpreads, component: number): LearntSpreads {
	const below = inputs.flatMap((id, at) => (Number.parseInt(id, 10) >= component ? [] : [at]));
	return {
		inputs: below.map((at) => inputs[at]!),
		covariance: below.map((i) => below.map((j) => covariance[i]![j]!))
	};
}

/** The inputs of a problem, joint with what was learnt of them. */
export function jointInputs(problem: Problem, spreads: Spreads): JointInputs {
	const inputs = uncertainInputs(problem, spreads);
	const lower = mixOf(
		inputs.map(({ id }) => id),
		problem.learnt
	);
	const own = (x: readonly number[]): readonly number[] =>
		lower ? lower.map((row, i) => row.reduce((sum, c, k) => (k <= i ? sum + c * x[k]! : sum), 0)) : x;
	return { labels: inputs.map(labelOf), moved: (x) => moved(problem, inputs, own(x)) };
}

/** A problem with every input off by itself; what only changes how tightly strands lie is added up first, since it is most of them. */
export function moved(
	problem: Problem,
	inputs: ReturnType<typeof uncertainInputs>,
	own: readonly number[]
): Problem {
	const ln = problem.stack.map(() => 0);
	let there = problem;
	for (let i = 0; i < inputs.length; i++) {
		const z = own[i]!;
		if (z === 0) continue;
		const { layLn, shift } = inputs[i]!;
		if (layLn) for (let k = 0; k < ln.length; k++) ln[k]! += z * layLn[k]!;
		else there = shift(there, z);
	}
	return { ...there, stack: there.stack.map((c, k) => (ln[k] === 0 ? c : tighter(c, ln[k]!))) };
}
