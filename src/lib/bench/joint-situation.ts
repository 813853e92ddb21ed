import { placeBetween, usualSituation, type JobSetup, type KnotPlace, type KnotSituation } from '$lib/core';

/** The place of a joint in a set-up: the knot on the arbor, or what joins a part to the one under it. */
function placeOf(job: JobSetup, at: number): KnotPlace {
	if (at <= 0) return 'arbor';
	return placeBetween(job.parts[at - 1]!.role, job.parts[at]!.role);
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
	return {
		...usualSituation(place),
		...(endsMm && {
			thinMm: Math.min(endsMm.under, endsMm.over),
			thickMm: Math.max(endsMm.under, endsMm.over)
		}),
		loop: schools.weldedLoop === 'cut' ? 'none' : 'welded',
		swaps: parts[at]?.joint === 'loops' ? 'often' : 'seldom',
		water: schools.water,
		slick: (parts[Math.max(at - 1, 0)]?.cuts ?? false) || (parts[at]?.cuts ?? false),
		arbor: schools.grip === 'none' ? 'bare' : schools.grip,
		cage
	};
}
