import { KNOT_TAKES_MM, type KnotSlug } from '$lib/core';
import { showRetrieve, type UnitSystem } from './units';

const oneOf = new Intl.ListFormat('en', { type: 'disjunction' });

/**
 * How much a knot takes: "254 mm of backing, mono or leader, and 25 mm of line". What takes the same length stands for
 * one another; a line that takes another length is what they are tied to. Nothing where a knot takes nothing.
 */
export function showTakes(slug: KnotSlug, units: UnitSystem): string {
	const takes = Object.entries(KNOT_TAKES_MM[slug]);
	const lengths = [...new Set(takes.map(([, mm]) => mm))];
	const alike = lengths.map((mm) => {
		const names = takes.flatMap(([from, taken]) => (taken === mm ? [from] : []));
		return { names, says: `${showRetrieve(mm, units)} of ${oneOf.format(names)}` };
	});
	const tiedTo = ({ names }: (typeof alike)[number]): boolean => names.join() === 'line' && alike.length > 1;
	return [
		alike
			.filter((one) => !tiedTo(one))
			.map(({ says }) => says)
			.join(', or '),
		...alike.filter(tiedTo).map(({ says }) => says)
	].join(', and ');
}
