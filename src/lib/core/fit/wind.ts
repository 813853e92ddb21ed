import { crossSectionMm2, headOf, isLevel, sectionVolumeMm3, type LineSection } from '../line/sections';
import { integrate } from '../numeric/quadrature';
import { packingFraction } from '../packing/packing';
import { areaToRadius, radiusAtVolume, type Spool } from '../spool';

/** Stretches a taper is integrated in; five Gauss points on each. */
const TAPER_STEPS = 2;

/** A surface on the spool: the space filled below it, and its radius. */
export interface Surface {
	readonly filledMm3: number;
	readonly radiusMm: number;
}

export const bareArbor = (spool: Spool): Surface => ({ filledMm3: 0, radiusMm: spool.arborRadiusMm });

export const surfaceAt = (spool: Spool, filledMm3: number): Surface => ({
	filledMm3,
	radiusMm: radiusAtVolume(spool, filledMm3)
});

/** Turns of a level strand between two surfaces: N = φ·ΔA/a, exact. */
export const levelTurns = (
	spool: Spool,
	from: Surface,
	to: Surface,
	packing: number,
	diameterMm: number
): number =>
	(packing * (areaToRadius(spool, to.radiusMm) - areaToRadius(spool, from.radiusMm))) /
	crossSectionMm2(diameterMm);

/** η that so many turns of a diameter between two surfaces amount to: N = φ·ΔA/a turned round. */
export const layOfTurns = (
	spool: Spool,
	innerRadiusMm: number,
	outerRadiusMm: number,
	turns: number,
	diameterMm: number
): number =>
	(turns * crossSectionMm2(diameterMm)) /
	(packingFraction(1) * (areaToRadius(spool, outerRadiusMm) - areaToRadius(spool, innerRadiusMm)));

/** Turns of a tapered section: N = ∫ dL / 2πr, with the surface followed as the section goes on. */
function taperTurns(spool: Spool, from: Surface, section: LineSection, packing: number): number {
	const turnsPerMm = (lengthMm: number): number =>
		1 / (2 * Math.PI * radiusAtVolume(spool, from.filledMm3 + sectionVolumeMm3(section, lengthMm) / packing));
	const step = section.lengthMm / TAPER_STEPS;
	let turns = 0;
	for (let i = 0; i < TAPER_STEPS; i++) turns += integrate(turnsPerMm, i * step, (i + 1) * step);
	return turns;
}

/** Winds one section on a surface: the new surface, and the turns it took. */
export function windSection(
	spool: Spool,
	from: Surface,
	section: LineSection,
	packing: number
): { surface: Surface; turns: number } {
	const surface = surfaceAt(spool, from.filledMm3 + sectionVolumeMm3(section) / packing);
	const turns = isLevel(section)
		? levelTurns(spool, from, surface, packing, section.startDiameterMm)
		: taperTurns(spool, from, section, packing);
	return { surface, turns };
}

/** Length of the rear of `sections` that holds `volumeMm3`, mm; all of it when it holds less. */
export function rearLengthOfVolume(sections: readonly LineSection[], volumeMm3: number): number {
	if (volumeMm3 <= 0) return 0;
	let left = volumeMm3;
	let lengthMm = 0;
	for (const section of sections) {
		const volume = sectionVolumeMm3(section);
		if (volume >= left) {
			const meanAreaMm2 = volume / section.lengthMm;
			// One Newton step from the mean diameter is plenty for a figure that is shown to the nearest metre.
			const guess = Math.min(left / meanAreaMm2, section.lengthMm);
			const atGuess = crossSectionMm2(headOf(section, guess).endDiameterMm);
			return lengthMm + guess + (left - sectionVolumeMm3(section, guess)) / atGuess;
		}
		left -= volume;
		lengthMm += section.lengthMm;
	}
	return lengthMm;
}
