import { fromMm, type LengthUnit } from './units';

/** Decimals that a reading in this unit deserves: about a tenth of a millimetre, or a hundredth of an inch. */
const DECIMALS: Record<LengthUnit, number> = { mm: 1, cm: 1, m: 1, in: 2, ft: 1, yd: 0 };

/** A number with fixed decimals and a true minus sign; -0 reads as 0. */
export function formatNumber(value: number, decimals: number): string {
	const text = value.toFixed(decimals);
	return Number(text) === 0 ? (0).toFixed(decimals) : text.replace('-', '−');
}

/** A length as "11.4 mm" or "162 yd". `decimals` defaults to what the unit can honestly show. */
export function formatLength(valueMm: number, unit: LengthUnit, decimals = DECIMALS[unit]): string {
	return `${formatNumber(fromMm(valueMm, unit), decimals)} ${unit}`;
}

/** A range without its unit, as "10.6–12.2". */
export function formatRange(
	lowMm: number,
	highMm: number,
	unit: LengthUnit,
	decimals = DECIMALS[unit]
): string {
	return `${formatNumber(fromMm(lowMm, unit), decimals)}–${formatNumber(fromMm(highMm, unit), decimals)}`;
}
