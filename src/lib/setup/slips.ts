import { formatLength, parseLength } from '$lib/core';
import { smallUnit, type UnitSystem } from '$lib/wording/units';
import type { SpoolForm } from './form';

type Measure = 'rim' | 'arbor' | 'width';

/** A likely slip in the measures of a spool, and what was probably meant. */
export interface Slip {
	readonly kind: 'inches' | 'millimetres' | 'swapped' | 'radius';
	/** The measures as they were probably meant, as text. */
	readonly mended: Readonly<Partial<Record<Measure, string>>>;
}

/** Across the rims of the reels that people own, mm. Common practice. */
const USUAL_RIM_MM = { least: 55, most: 130 } as const;
/** An arbor narrower than this share of the rim was more likely measured from the middle. */
const LEAST_ARBOR_SHARE = 0.3;
/** A rim this much smaller or larger than any reel's is in another unit: an inch has 25.4 mm. */
const MM_IN_INCH = 25.4;

const isUsual = (mm: number): boolean => mm >= USUAL_RIM_MM.least && mm <= USUAL_RIM_MM.most;
const numberOf = (text: string): string => text.replace(/\s*(mm|in|")\s*$/i, '').trim();

/** The likely slip in what was typed for a measured spool; undefined where the measures are those of a reel. */
export function slipIn(spool: SpoolForm, units: UnitSystem): Slip | undefined {
	if (spool.way !== 'measured') return undefined;
	const unit = smallUnit(units);
	const read = (key: Measure): number | undefined => {
		const mm = parseLength(spool[key], unit);
		return spool[key].trim() !== '' && mm.ok && mm.value > 0 ? mm.value : undefined;
	};
	const rim = read('rim');
	if (rim === undefined || (isUsual(rim) && rim > (read('arbor') ?? 0))) return undefined;
	const arbor = read('arbor');
	/** The same numbers in another unit. */
	const inUnit = (other: string): Slip['mended'] =>
		Object.fromEntries(
			(['rim', 'arbor', 'width'] as const).flatMap((key) =>
				read(key) === undefined ? [] : [[key, `${numberOf(spool[key])} ${other}`]]
			)
		);
	if (isUsual(rim * MM_IN_INCH)) return { kind: 'inches', mended: inUnit('in') };
	if (isUsual(rim / MM_IN_INCH)) return { kind: 'millimetres', mended: inUnit('mm') };
	if (arbor !== undefined && arbor > rim && isUsual(arbor))
		return { kind: 'swapped', mended: { rim: spool.arbor, arbor: spool.rim } };
	if (!isUsual(2 * rim)) return undefined;
	const twice = (mm: number): string => formatLength(2 * mm, unit);
	const alsoArbor = arbor !== undefined && arbor < LEAST_ARBOR_SHARE * 2 * rim;
	return { kind: 'radius', mended: { rim: twice(rim), ...(alsoArbor && { arbor: twice(arbor) }) } };
}
