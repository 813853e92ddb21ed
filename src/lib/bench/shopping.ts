import { cutFor, knotLengthMm, type Cut, type JobSetup } from '$lib/core';
import type { Workout } from '$lib/setup/evaluate-form';

/** What goes on of a strand, what to cut so that it is enough, and what to buy: three numbers, each with a purpose of its own. */
export interface Shopping {
	/** Of the part. */
	readonly id: string;
	readonly goesOnMm: number;
	/** The length that is worked out is only about right. */
	readonly about: boolean;
	readonly cut: Cut;
}

/** Of every strand that is cut from a spool. Lines come as they are. */
export function shoppingOf(
	{ parts, fit, estimate }: Pick<Workout, 'parts' | 'fit' | 'estimate'>,
	job: JobSetup
): Shopping[] {
	return parts.flatMap(({ id, role }, index) => {
		if (role !== 'backing' && role !== 'bed') return [];
		const about = fit.solved?.index === index;
		const goesOnMm = fit.layers[index]!.lengthMm;
		// A little too much can be trimmed, too little cannot: the high end of the range.
		const mostMm = about && goesOnMm > 0 ? estimate.ranges.lengthMm.high : goesOnMm;
		// What the job leaves out is not cut at all.
		const knotsMm = job.parts.some((part) => part.id === id) ? knotLengthMm(job, id) : 0;
		return [{ id, goesOnMm, about, cut: cutFor(mostMm, knotsMm) }];
	});
}
