import { SAME_DIAMETER_MM } from '../numeric/tolerances';

/** A stretch of line with straight sides (a frustum), rear end first, the way it goes on the spool. */
export interface LineSection {
	readonly lengthMm: number;
	readonly startDiameterMm: number;
	readonly endDiameterMm: number;
}

export const level = (lengthMm: number, diameterMm: number): LineSection => ({
	lengthMm,
	startDiameterMm: diameterMm,
	endDiameterMm: diameterMm
});

export const isLevel = (section: LineSection): boolean =>
	Math.abs(section.startDiameterMm - section.endDiameterMm) < SAME_DIAMETER_MM;

/** Cross-section of a round strand, mm². */
export const crossSectionMm2 = (diameterMm: number): number => (Math.PI / 4) * diameterMm * diameterMm;

/** Volume of the first `lengthMm` of a section, mm³: a frustum, πL(d₀² + d₀d₁ + d₁²)/12. */
export function sectionVolumeMm3(section: LineSection, lengthMm = section.lengthMm): number {
	const { startDiameterMm: d0, endDiameterMm: d1 } = section;
	const d = section.lengthMm > 0 ? d0 + ((d1 - d0) * lengthMm) / section.lengthMm : d0;
	return (Math.PI * lengthMm * (d0 * d0 + d0 * d + d * d)) / 12;
}

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

export const totalLengthMm = (sections: readonly LineSection[]): number =>
	sum(sections.map((s) => s.lengthMm));

export const totalVolumeMm3 = (sections: readonly LineSection[]): number =>
	sum(sections.map((s) => sectionVolumeMm3(s)));

/** The same sections with every diameter changed so that the bulk is `factor` times what it was. */
export const scaleBulk = (sections: readonly LineSection[], factor: number): LineSection[] =>
	sections.map((s) => ({
		lengthMm: s.lengthMm,
		startDiameterMm: s.startDiameterMm * Math.sqrt(factor),
		endDiameterMm: s.endDiameterMm * Math.sqrt(factor)
	}));

/** The rear part of a section, cut at `lengthMm` from its start. */
export function headOf(section: LineSection, lengthMm: number): LineSection {
	const share = section.lengthMm > 0 ? lengthMm / section.lengthMm : 0;
	const { startDiameterMm: d0, endDiameterMm: d1 } = section;
	return { lengthMm, startDiameterMm: d0, endDiameterMm: d0 + (d1 - d0) * share };
}

/** Mass of the sections for a material of `densityGPerCm3`, grams. */
export const massG = (sections: readonly LineSection[], densityGPerCm3: number): number =>
	(totalVolumeMm3(sections) / 1000) * densityGPerCm3;
