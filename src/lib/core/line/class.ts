import { fail, ok, type Result } from '../issues';
import { toGrams, toMm } from '../units/units';
import { level, type LineSection } from './sections';

/**
 * Weight in grains of the first 30 ft, level tip left out, for #1 to #15.
 * Source: the fly-line weight standard (AFTMA 1961, now AFFTA), single-handed lines.
 */
export const STANDARD_GRAINS = [
	60, 80, 100, 120, 140, 160, 185, 210, 240, 280, 330, 380, 450, 500, 550
] as const;

export const TAPERS = { WF: 'weight-forward', DT: 'double taper', L: 'level' } as const;
export type Taper = keyof typeof TAPERS;

/**
 * Density by how the line fishes, g/cm³, with the spread of what is sold (1σ). Assumptions, from memory:
 * a floater carries hollow spheres, a sinker metal powder, and makers do not print the figure.
 */
export const DENSITIES = {
	F: { label: 'floating', gPerCm3: 0.88, sigma: 0.04 },
	I: { label: 'intermediate', gPerCm3: 1.1, sigma: 0.05 },
	S: { label: 'sinking', gPerCm3: 1.3, sigma: 0.12 }
} as const;
export type Density = keyof typeof DENSITIES;

export interface LineClass {
	readonly taper: Taper;
	/** AFFTA number, 1–15. */
	readonly number: number;
	readonly density: Density;
}

/**
 * The shape of a present-day line, in feet, where its maker's table is not at hand. Common practice.
 * The level tip stands outside the weighed 30 ft.
 */
const SHAPE_FT = { tip: 0.5, frontTaper: 6, belly: 26, rearTaper: 6 } as const;
const WEIGHED_FT = 30;

/** Whole length: about 90 ft up to #7, about 100 ft from #8 up, where casts are longer. Common practice. */
export const standardLengthMm = (number: number): number => toMm(number < 8 ? 90 : 100, 'ft');

/**
 * Thin line (running line, tip) over belly. Running line is about as thick on a heavy line as on a light
 * one, so the ratio falls above #6. Assumption.
 */
const thinOverBelly = (number: number): number => 0.72 - 0.025 * Math.max(0, number - 6);

const CLASS_TEXT = /^\s*(WF|DT|L)?[\s-]*#?(\d{1,2})[\s-]*(F|I|S)?\s*$/i;

/**
 * Reads "WF6F", "dt 5 f", "L-8-S". Issue `unknown_line_class`.
 *
 * @param otherwise what the taper and the density are where the text leaves them out; without it they have to be there
 */
export function parseLineClass(
	text: string,
	otherwise?: Pick<LineClass, 'taper' | 'density'>
): Result<LineClass> {
	const [, taper = otherwise?.taper, digits, density = otherwise?.density] = CLASS_TEXT.exec(text) ?? [];
	const number = Number(digits);
	if (!taper || !density || !(number >= 1 && number <= STANDARD_GRAINS.length))
		return fail({ code: 'unknown_line_class', text });
	return ok({ taper: taper.toUpperCase() as Taper, number, density: density.toUpperCase() as Density });
}

export const formatLineClass = (line: LineClass): string => `${line.taper}${line.number}${line.density}`;

/**
 * Belly diameter, mm, that gives the first 30 ft (tip left out) the standard's weight: d = √(4m/(πρL)),
 * with L the length of level belly that holds as much as the front taper and belly within the 30 ft.
 */
export function bellyDiameterMm(line: LineClass): number {
	const massG = toGrams(STANDARD_GRAINS[line.number - 1]!, 'gr');
	const thin = thinOverBelly(line.number);
	const taperFt = line.taper === 'L' ? 0 : SHAPE_FT.frontTaper;
	const bellyFt = WEIGHED_FT - taperFt;
	const effectiveMm = toMm(bellyFt + (taperFt * (1 + thin + thin * thin)) / 3, 'ft');
	return Math.sqrt((4 * massG * 1000) / (Math.PI * DENSITIES[line.density].gPerCm3 * effectiveMm));
}

/** One full taper of the class, rear end first. `lengthMm` defaults to the usual length of the class. */
export function taperOf(line: LineClass, lengthMm = standardLengthMm(line.number)): LineSection[] {
	const belly = bellyDiameterMm(line);
	const thin = belly * thinOverBelly(line.number);
	const up = (ft: number): LineSection => ({
		lengthMm: toMm(ft, 'ft'),
		startDiameterMm: thin,
		endDiameterMm: belly
	});
	const down = (ft: number): LineSection => ({
		lengthMm: toMm(ft, 'ft'),
		startDiameterMm: belly,
		endDiameterMm: thin
	});
	const { tip, frontTaper, rearTaper } = SHAPE_FT;
	const restMm = (ft: number): number => Math.max(lengthMm - toMm(ft, 'ft'), 0);
	switch (line.taper) {
		case 'L':
			return [level(lengthMm, belly)];
		case 'DT':
			return [
				level(toMm(tip, 'ft'), thin),
				up(frontTaper),
				level(restMm(2 * (tip + frontTaper)), belly),
				down(frontTaper),
				level(toMm(tip, 'ft'), thin)
			];
		case 'WF':
			return [
				level(restMm(tip + frontTaper + SHAPE_FT.belly + rearTaper), thin),
				up(rearTaper),
				level(toMm(SHAPE_FT.belly, 'ft'), belly),
				down(frontTaper),
				level(toMm(tip, 'ft'), thin)
			];
	}
}

/** Shortest line that still has its whole head, mm: a shorter one is no longer this class. */
export function shortestLengthMm(line: LineClass): number {
	const { tip, frontTaper, belly, rearTaper } = SHAPE_FT;
	if (line.taper === 'L') return 0;
	return toMm(line.taper === 'DT' ? 2 * (tip + frontTaper) : tip + frontTaper + belly + rearTaper, 'ft');
}
