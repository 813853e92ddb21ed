import { fail, ok, under, type Result } from '../issues';
import { READING_SPREADS } from '../uncertainty/spreads';
import { parseLength, parseMass } from '../units/parse';
import type { LengthUnit } from '../units/units';

/** How a diameter became known, and how far it may be off: 1σ as a share of it. */
export interface StrandDiameter {
	readonly diameterMm: number;
	readonly way: 'calipers' | 'wraps' | 'weighed';
	readonly share: number;
}

const WRAPS = /^\s*(\d+)\s*(?:wraps?|turns?)\s*(?:in|over|on|=|:)?\s*(.+)$/i;
const WEIGHED = /^\s*(.+?)\s+(?:in|per|for|over)\s+(.+)$/i;

/** Diameter of a round strand from its mass and length: d = √(4m/(πρL)). */
export const diameterOfMass = (grams: number, lengthMm: number, densityGPerCm3: number): number =>
	Math.sqrt((4000 * grams) / (Math.PI * densityGPerCm3 * lengthMm));

/** A diameter that calipers read, or a label says. */
export const diameterByCalipers = (diameterMm: number): StrandDiameter => ({
	diameterMm,
	way: 'calipers',
	share: READING_SPREADS.calipersShare
});

/** The diameter of a strand of which so many wraps lie side by side in a width, mm. */
export const diameterByWraps = (count: number, widthMm: number): StrandDiameter => ({
	diameterMm: widthMm / count,
	way: 'wraps',
	share: READING_SPREADS.wrapsMm / widthMm
});

/** The diameter of a strand of which a measured length was weighed. */
export const diameterByMass = (massG: number, lengthMm: number, density: StrandDensity): StrandDiameter => ({
	diameterMm: diameterOfMass(massG, lengthMm, density.gPerCm3),
	way: 'weighed',
	// d goes with the root of mass over density: half of each share.
	share: Math.hypot(READING_SPREADS.scaleG / massG, density.share) / 2
});

function fromWraps(count: number, text: string, unit: LengthUnit): Result<StrandDiameter> {
	const width = parseLength(text, unit);
	if (!width.ok) return width;
	if (!(count > 0 && width.value > 0)) return fail({ code: 'unreadable_quantity', text });
	return ok(diameterByWraps(count, width.value));
}

function fromMass(mass: string, length: string, density: StrandDensity): Result<StrandDiameter> | undefined {
	const [grams, lengthMm] = [parseMass(mass, 'g'), parseLength(length, 'm')];
	if (!grams.ok || !lengthMm.ok || !/[a-z]/i.test(mass)) return undefined;
	if (!(grams.value > 0 && lengthMm.value > 0)) return fail({ code: 'unreadable_quantity', text: mass });
	return ok(diameterByMass(grams.value, lengthMm.value, density));
}

export interface StrandDensity {
	readonly gPerCm3: number;
	/** 1σ as a share. */
	readonly share: number;
}

/**
 * Reads a strand's diameter in any of the ways people come by it: "0.48 mm" from calipers or a label, "20
 * wraps in 11 mm" from a rule, "2.1 g in 10 m" from a scale. Issues as in {@link parseLength}.
 */
export function parseStrand(text: string, unit: LengthUnit, density: StrandDensity): Result<StrandDiameter> {
	const wraps = WRAPS.exec(text);
	if (wraps) return fromWraps(Number(wraps[1]), wraps[2]!, unit);
	const weighed = WEIGHED.exec(text);
	const byMass = weighed && fromMass(weighed[1]!, weighed[2]!, density);
	if (byMass) return byMass;
	const read = parseLength(text, unit);
	return read.ok ? ok(diameterByCalipers(read.value)) : { ok: false, issues: under(read.issues) };
}
