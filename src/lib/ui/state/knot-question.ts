import { KNOT_PLACES, KNOT_TOOLS, keys, TYPICAL_MM, usualSituation, type KnotSituation } from '$lib/core';

const oneOf = <V extends string>(text: string | null, values: readonly V[], usual: V): V =>
	values.find((value) => value === text) ?? usual;

/** A thickness from an address, mm, kept to what a strand can have. */
function thickness(text: string | null, usual: number): number {
	const value = Number(text);
	return text !== null && value >= 0.05 && value <= 4 ? value : usual;
}

/** A question as it stands in an address; what is not said is as it usually is. */
export function situationOf(query: URLSearchParams): KnotSituation {
	const usual = usualSituation(oneOf(query.get('place'), keys(KNOT_PLACES), 'backing-line'));
	const [one, other] = [
		thickness(query.get('thin'), usual.thinMm),
		thickness(query.get('thick'), usual.thickMm)
	];
	const tools = query.get('tools')?.split(' ');
	return {
		place: usual.place,
		thinMm: Math.min(one, other),
		thickMm: Math.max(one, other),
		loop: oneOf(query.get('loop'), ['welded', 'none'], usual.loop),
		swaps: oneOf(query.get('swaps'), ['often', 'seldom', 'never'], usual.swaps),
		water: oneOf(query.get('water'), ['fresh', 'salt'], usual.water),
		slick: query.get('slick') === 'yes',
		arbor: oneOf(query.get('arbor'), ['bare', 'tape', 'mono'], usual.arbor),
		cage: oneOf(query.get('cage'), ['open', 'closed'], usual.cage),
		smooth: query.get('smooth') === 'yes',
		tools: tools === undefined ? usual.tools : keys(KNOT_TOOLS).filter((tool) => tools.includes(tool)),
		skill: oneOf(query.get('skill'), ['first', 'yearly', 'daily'], usual.skill)
	};
}

/** The address of a question. Thicknesses are left out where they are the place's usual ones. */
export function situationQuery(situation: KnotSituation): URLSearchParams {
	const { place, thinMm, thickMm, slick, smooth, tools, ...rest } = situation;
	const query = new URLSearchParams({ place, ...rest });
	if (slick) query.set('slick', 'yes');
	if (smooth) query.set('smooth', 'yes');
	if (thinMm !== TYPICAL_MM[place].thin) query.set('thin', String(thinMm));
	if (thickMm !== TYPICAL_MM[place].thick) query.set('thick', String(thickMm));
	query.set('tools', tools.join(' '));
	return query;
}
