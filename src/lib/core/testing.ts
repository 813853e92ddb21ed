import { spoolOf, type SpoolSource } from './calibrate/source';
import { solveFit, type Fit } from './fit/solve';
import type { Result } from './issues';
import { headOf, type LineSection } from './line/sections';
import type { Spool } from './spool';
import type { Problem } from './uncertainty/inputs';

/** What tests begin with: a result that has to be there, a spool, a fit. */

/** The value, or a failure that says why there is none. */
export function value<T>(result: Result<T>): T {
	if (!result.ok) throw new Error(JSON.stringify(result.issues));
	return result.value;
}

export const spoolFrom = (source: SpoolSource): Spool => value(spoolOf(source)).spool;

export const fitOf = ({ source, stack, gapMm }: Problem): Fit =>
	value(solveFit(spoolFrom(source), stack, gapMm));

/** The spool of the worked example, and one with a dished arbor and flared rims. */
export const STRAIGHT: SpoolSource = {
	kind: 'measured',
	rimDiameterMm: 84,
	arborDiameterMm: 38,
	widthMm: 21
};
export const DISHED: SpoolSource = {
	kind: 'profile',
	profile: [
		{ radiusMm: 17, widthMm: 6 },
		{ radiusMm: 21, widthMm: 20 },
		{ radiusMm: 43, widthMm: 24 }
	]
};

/** What is left when `lengthMm` is cut off the rear (the start). Empty when nothing is. */
export function cutFromRear(sections: readonly LineSection[], lengthMm: number): LineSection[] {
	const kept: LineSection[] = [];
	let toCut = lengthMm;
	for (const section of sections) {
		const cut = Math.min(Math.max(toCut, 0), section.lengthMm);
		toCut -= section.lengthMm;
		if (cut === 0) kept.push(section);
		else if (cut < section.lengthMm) {
			const startDiameterMm = headOf(section, cut).endDiameterMm;
			kept.push({ ...section, lengthMm: section.lengthMm - cut, startDiameterMm });
		}
	}
	return kept;
}
