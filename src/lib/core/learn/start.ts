import { spoolOf } from '../calibrate/source';
import { uncertainInputs, type Problem } from '../uncertainty/inputs';
import { moved } from '../uncertainty/joint';
import type { Spreads } from '../uncertainty/spreads';
import { carried, marginalOf, type Learnt, type Marginal } from './rack';
import { isKind, mixOfInput, type Mix, type Things } from './things';

/** A set-up with the things of a rack that it has. */
export interface Known {
	readonly problem: Problem;
	readonly spreads: Spreads;
	readonly things: Things;
}

/**
 * What a rack knows of a set-up, to be taken where the rack is not: named by `here`, with every kind of strand that the rack knows, in
 * case the set-up is changed. What a hand has drifted since is in it.
 */
export function learntFor(learnt: Learnt, { problem, spreads, things }: Known, here: Things): Marginal {
	const named = new Map<string, Mix>();
	for (const kind of learnt.index.keys()) if (isKind(kind)) named.set(kind, [[kind, 1]]);
	for (const input of uncertainInputs(problem, spreads)) {
		const there = mixOfInput(input, problem, spreads, things);
		mixOfInput(input, problem, spreads, here).forEach(([id], k, names) => {
			// A hand has drifted by more than has a name here: that goes with it.
			const more = k === 0 ? there.slice(names.length) : [];
			named.set(id, [[there[k]![0], 1], ...more]);
		});
	}
	const knows = (mix: Mix): boolean => mix.some(([id]) => learnt.index.has(id));
	const told = [...named].filter(([, mix]) => knows(mix));
	const behind = [...new Set(told.flatMap(([, mix]) => mix.map(([id]) => id)))];
	return {
		ids: told.map(([id]) => id),
		...carried(
			told.map(([, mix]) => mix),
			marginalOf(learnt, behind)
		)
	};
}

/**
 * A set-up as the rack knows it: its spool, strands and winder moved to where earlier windings have shown them to be, with what is
 * left of their spreads. The same problem where nothing was learnt of any of it, or where what was learnt would make no spool.
 */
export function startingFrom({ problem, spreads, things }: Known, learnt: Marginal): Problem {
	const inputs = uncertainInputs(problem, spreads);
	const mixes = inputs.map((input) => mixOfInput(input, problem, spreads, things));
	const ids = new Set(learnt.ids);
	if (!mixes.some((mix) => mix.some(([id]) => ids.has(id)))) return problem;
	const { mean, covariance } = carried(mixes, learnt);
	const there = moved(problem, inputs, mean);
	if (!spoolOf(there.source).ok) return problem;
	return { ...there, learnt: { inputs: inputs.map(({ id }) => id), covariance } };
}
