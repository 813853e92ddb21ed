import { fail, ok, under, type Result } from '../issues';
import { parseLength, parseMass } from '../units/parse';
import type { LengthUnit } from '../units/units';

/** How a diameter became known, and how far it may be off: 1σ as a share of it. */
export interface StrandDiameter {
	readonly diameterMm: number;
	readonly way: 'calipers' | 'wraps' | 'weighed';
	readonly share: number;
}

/** 1σ of calipers on a soft strand: how hard they are closed decides. Assumption. */
const CALIPERS_SHARE = 0.05;
/** 1σ of a width of wraps read on a rule, mm. Assumption. */
const WRAPS_READING_MM = 0.3;
/** 1σ of a kitchen scale, g. Assumption. */
export const SCALE_G = 0.1;

const WRAPS = /^\s*(\d+)\s*(?:wraps?|turns?)\s*(?:in|over|on|=|:)?\s*(.+)$/i;
const WEIGHED = /^\s*(.+?)\s+(?:in|per|for|over)\s+(.+)$/i;

/** Diameter of a round strand from its mass and length: d = √(4m/(πρL)). */
export const diameterOfMass = (grams: number, lengthMm: number, densityGPerCm3: number): number =>
	Math.sqrt((4000 * grams) / (Math.PI * densityGPerCm3 * lengthMm));

function fromWraps(count: number, text: string, unit: LengthUnit): Result<StrandDiameter> {
	const width = parseLength(text, unit);
	if (!width.ok) return width;
	if (!(count > 0 && width.value > 0)) return fail({ code: 'unreadable_quantity', text });
	return ok({ diameterMm: width.value / count, way: 'wraps', share: WRAPS_READING_MM / width.value });
}

function fromMass(mass: string, length: string, density: StrandDensity): Result<StrandDiameter> | undefined {
	const [grams, lengthMm] = [parseMass(mass, 'g'), parseLength(length, 'm')];
	if (!grams.ok || !lengthMm.ok || !/[a-z]/i.test(mass)) return undefined;
	if (!(grams.value > 0 && lengthMm.value > 0)) return fail({ code: 'unreadable_quantity', text: mass });
	return ok({
		diameterMm: diameterOfMass(grams.value, lengthMm.value, density.gPerCm3),
		way: 'weighed',
		// d goes with the root of mass over density: half of each share.
		share: Math.hypot(SCALE_G / grams.value, density.share) / 2
	});
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
	return read.ok
		? ok({ diameterMm: read.value, way: 'calipers', share: CALIPERS_SHARE })
		: { ok: false, issues: under(read.issues) };
}
