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

/** Parts of an inch that the finest marks of an ordinary rule stand for. */
const PARTS_OF_AN_INCH = 32;

/** A length in inches as a rule shows it, to the nearest 1/32: "17/32", "1 3/8", "2". */
export function formatFraction(valueMm: number): string {
	const parts = Math.round(fromMm(Math.abs(valueMm), 'in') * PARTS_OF_AN_INCH);
	const [whole, rest] = [Math.floor(parts / PARTS_OF_AN_INCH), parts % PARTS_OF_AN_INCH];
	// The marks of a rule halve again and again, so a fraction is shortened by twos.
	let [above, below] = [rest, PARTS_OF_AN_INCH];
	while (above > 0 && above % 2 === 0) [above, below] = [above / 2, below / 2];
	const text = [
		...(whole > 0 || above === 0 ? [String(whole)] : []),
		...(above > 0 ? [`${above}/${below}`] : [])
	].join(' ');
	return valueMm < 0 && parts > 0 ? `−${text}` : text;
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
