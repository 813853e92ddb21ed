import type { Candidate } from './candidate-rules';
import { CANDIDATES } from './candidates';
import type { KnotSituation } from './situation';
import type { KnotSlug } from './takes';

/** A knot for a place: why, why not, and whether it can be tied there at all. */
export interface KnotAnswer {
	readonly slug: KnotSlug;
	readonly wraps: number;
	/** Compares answers for one situation, and nothing else. */
	readonly points: number;
	readonly why: readonly string[];
	readonly against: readonly string[];
	/** What is missing, where it cannot be tied. */
	readonly lacks?: string;
}

function judged({ slug, wraps, buys, points, rules }: Candidate, situation: KnotSituation): KnotAnswer {
	const met = rules.filter(({ when }) => when(situation));
	const lacks = met.flatMap((rule) => ('lacks' in rule ? [rule.lacks] : []));
	const said = met.flatMap((rule) => ('says' in rule ? [rule] : []));
	return {
		slug,
		wraps: wraps(situation),
		points: said.reduce((sum, rule) => sum + rule.points, points),
		why: [buys, ...said.filter((rule) => rule.points >= 0).map(({ says }) => says)],
		against: said.filter((rule) => rule.points < 0).map(({ says }) => says),
		...(lacks.length > 0 && { lacks: lacks.join(' ') })
	};
}

/**
 * Knots for a place, the best first, each with its reasons; those that cannot be tied with what is there come last,
 * with what they lack. Never empty.
 */
export function chooseKnot(situation: KnotSituation): KnotAnswer[] {
	if (!(situation.thinMm > 0) || !(situation.thickMm >= situation.thinMm))
		throw new RangeError(
			`thicknesses must be above 0, the thicker not the thinner: ${situation.thinMm}, ${situation.thickMm}`
		);
	return CANDIDATES.filter(({ places }) => places.includes(situation.place))
		.map((candidate) => judged(candidate, situation))
		.sort((a, b) => Number(a.lacks !== undefined) - Number(b.lacks !== undefined) || b.points - a.points);
}
