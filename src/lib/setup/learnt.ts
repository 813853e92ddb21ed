import { formatLineClass, startingFrom, type Problem, type Spreads, type Things } from '$lib/core';
import type { SetupDescription, StrandDescription } from './description';
import type { LearntHere } from './learnt-here';

/** What a strand is sold as: others of its kind tell of it. Undefined for one that was measured or weighed by itself. */
export function kindOfStrand({ made }: Pick<StrandDescription, 'made'>): string | undefined {
	if (made.by === 'material') return made.diameter ? undefined : made.material.slug;
	return made.by === 'class' && made.massG === undefined ? formatLineClass(made.line) : undefined;
}

/** A description as text to compare. */
export const spoolText = ({ spool }: Pick<SetupDescription, 'spool'>): string => JSON.stringify(spool);
export const strandText = ({ made }: Pick<StrandDescription, 'made'>): string => JSON.stringify(made);

/** Names of the things of the one set-up that is asked about. */
export const HERE = 'here';
const NOW = 'now';

/** The things of a set-up as {@link LearntHere} names them. */
export function thingsHere(
	{ spool, stack }: SetupDescription,
	{ spool: known, strands }: Pick<LearntHere, 'spool' | 'strands'>
): Things {
	const left = new Map(strands.map((text, at) => [at, text]));
	return {
		spool: spoolText({ spool }) === known ? HERE : 'another',
		winder: HERE,
		years: 0,
		strands: stack.map((strand, i) => {
			const same = [...left].find(([, text]) => text === strandText(strand))?.[0];
			if (same !== undefined) left.delete(same);
			return { id: same === undefined ? `new ${i}` : `${same}`, kind: kindOfStrand(strand), laid: NOW };
		})
	};
}

/** The problem of a set-up as the rack knows it; as it is described where nothing was learnt. */
export function asLearnt(problem: Problem, spreads: Spreads, description: SetupDescription): Problem {
	const { learnt } = description;
	if (!learnt) return problem;
	return startingFrom({ problem, spreads, things: thingsHere(description, learnt) }, learnt);
}
