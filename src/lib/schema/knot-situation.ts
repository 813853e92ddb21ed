import {
	isUnder,
	KNOT_PLACES,
	KNOT_TOOLS,
	type JobSetup,
	type KnotPlace,
	type KnotSituation,
	type KnotTool
} from '$lib/core';

/** What meets in a place, mm: the thinner and the thicker. Common practice. */
export const TYPICAL_MM: Record<KnotPlace, { readonly thin: number; readonly thick: number }> = {
	arbor: { thin: 0.45, thick: 0.45 },
	bed: { thin: 0.35, thick: 0.45 },
	loop: { thin: 0.45, thick: 0.45 },
	'backing-line': { thin: 0.45, thick: 1.1 },
	'line-line': { thin: 0.8, thick: 1.8 },
	'leader-line': { thin: 0.55, thick: 1.1 },
	tippet: { thin: 0.2, thick: 0.25 },
	wire: { thin: 0.4, thick: 0.4 }
};

/** Who asks nothing has these. */
const USUAL_TOOLS: readonly KnotTool[] = ['tube', 'stiff-piece'];

const oneOf = <V extends string>(text: string | null, values: readonly V[], usual: V): V =>
	values.find((value) => value === text) ?? usual;

/** A thickness from an address, mm, kept to what a strand can have. */
function thickness(text: string | null, usual: number): number {
	const value = Number(text);
	return text !== null && value >= 0.05 && value <= 4 ? value : usual;
}

/** A question as it stands in an address; what is not said is as it usually is. */
export function situationOf(query: URLSearchParams): KnotSituation {
	const place = oneOf(query.get('place'), Object.keys(KNOT_PLACES) as KnotPlace[], 'backing-line');
	const typical = TYPICAL_MM[place];
	const [one, other] = [
		thickness(query.get('thin'), typical.thin),
		thickness(query.get('thick'), typical.thick)
	];
	const tools = query.get('tools');
	const known = Object.keys(KNOT_TOOLS) as KnotTool[];
	return {
		place,
		thinMm: Math.min(one, other),
		thickMm: Math.max(one, other),
		loop: oneOf(query.get('loop'), ['welded', 'none'], 'welded'),
		swaps: oneOf(query.get('swaps'), ['often', 'seldom', 'never'], 'seldom'),
		water: oneOf(query.get('water'), ['fresh', 'salt'], 'fresh'),
		slick: query.get('slick') === 'yes',
		arbor: oneOf(query.get('arbor'), ['bare', 'tape', 'mono'], 'bare'),
		cage: oneOf(query.get('cage'), ['open', 'closed'], 'open'),
		smooth: query.get('smooth') === 'yes',
		tools: tools === null ? USUAL_TOOLS : known.filter((tool) => tools.split(' ').includes(tool)),
		skill: oneOf(query.get('skill'), ['first', 'yearly', 'daily'], 'yearly')
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

/** The place of a joint in a set-up: the knot on the arbor, or what joins a part to the one under it. */
function placeOf(job: JobSetup, at: number): KnotPlace {
	if (at <= 0) return 'arbor';
	const [under, part] = [job.parts[at - 1]!.role, job.parts[at]!.role];
	if (isUnder(part)) return 'bed';
	return isUnder(under) ? 'backing-line' : 'line-line';
}

/** What is asked for a joint of a set-up, `arbor` or the id of the part over it, with the ends' thicknesses, mm. */
export function jointSituation(
	job: JobSetup,
	id: string,
	endsMm?: { readonly under: number; readonly over: number }
): KnotSituation {
	const at = id === 'arbor' ? 0 : job.parts.findIndex((part) => part.id === id);
	const place = placeOf(job, at);
	const { schools, cage, parts } = job;
	const [thinMm, thickMm] = endsMm
		? [Math.min(endsMm.under, endsMm.over), Math.max(endsMm.under, endsMm.over)]
		: [TYPICAL_MM[place].thin, TYPICAL_MM[place].thick];
	return {
		...situationOf(new URLSearchParams({ place })),
		thinMm,
		thickMm,
		loop: schools.weldedLoop === 'cut' ? 'none' : 'welded',
		swaps: parts[at]?.joint === 'loops' ? 'often' : 'seldom',
		water: schools.water,
		slick: (parts[Math.max(at - 1, 0)]?.cuts ?? false) || (parts[at]?.cuts ?? false),
		arbor: schools.grip === 'none' ? 'bare' : schools.grip,
		cage
	};
}
