import { fromGrams, toMm } from '../units/units';
import { DENSITIES, STANDARD_GRAINS, type Density, type LineClass } from './class';
import { headOf, massG, scaleBulk, type LineSection } from './sections';

const WEIGHED_MM = toMm(30, 'ft');
/** A level tip up to so long stands outside the weighed 30 ft. */
const LONGEST_TIP_MM = toMm(1, 'ft');

/** The front `lengthMm` of sections, still rear end first. */
export function frontOf(sections: readonly LineSection[], lengthMm: number): LineSection[] {
	const front: LineSection[] = [];
	let left = lengthMm;
	for (const section of [...sections].reverse()) {
		if (left <= 0) break;
		const part = Math.min(left, section.lengthMm);
		const cutMm = section.lengthMm - part;
		front.unshift({
			lengthMm: part,
			startDiameterMm: headOf(section, cutMm).endDiameterMm,
			endDiameterMm: section.endDiameterMm
		});
		left -= part;
	}
	return front;
}

/** Drops a short level tip, which the standard leaves out. */
function withoutTip(sections: readonly LineSection[]): readonly LineSection[] {
	const tip = sections.at(-1);
	return tip && sections.length > 1 && tip.lengthMm <= LONGEST_TIP_MM ? sections.slice(0, -1) : sections;
}

/** Weight of the first 30 ft, a short level tip left out, in grains. */
export const grainsOf30ft = (sections: readonly LineSection[], densityGPerCm3: number): number =>
	fromGrams(massG(frontOf(withoutTip(sections), WEIGHED_MM), densityGPerCm3), 'gr');

/**
 * Tolerance of the standard, grains either way, for #1 to #15.
 * Source: the fly-line weight standard (AFTMA 1961, now AFFTA), from memory: 6 up to #6, 8 up to #9, 10 up
 * to #11, 12 up to #13, 15 above.
 */
export const toleranceGrains = (number: number): number =>
	number <= 6 ? 6 : number <= 9 ? 8 : number <= 11 ? 10 : number <= 13 ? 12 : 15;

/** The class whose weight is nearest, and whether the line is within its tolerance. */
export function nearestClass(grains: number): { number: number; offGrains: number; within: boolean } {
	const offs = STANDARD_GRAINS.map((standard) => grains - standard);
	const at = offs.reduce((best, off, i) => (Math.abs(off) < Math.abs(offs[best]!) ? i : best), 0);
	const number = at + 1;
	return { number, offGrains: offs[at]!, within: Math.abs(offs[at]!) <= toleranceGrains(number) };
}

/** A line of any taper as the class it comes to: what is usual under it goes by that. */
export const classOf = (sections: readonly LineSection[], density: Density): LineClass => ({
	taper: 'WF',
	number: nearestClass(grainsOf30ft(sections, DENSITIES[density].gPerCm3)).number,
	density
});

/** The same shape with every diameter changed so that the whole weighs `grams`. */
export const scaleToMass = (
	sections: readonly LineSection[],
	grams: number,
	densityGPerCm3: number
): LineSection[] => scaleBulk(sections, grams / massG(sections, densityGPerCm3));
