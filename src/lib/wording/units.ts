import { formatFraction, formatLength, formatNumber, formatRange, fromMm, type LengthUnit } from '$lib/core';

/** The two units a person reads: one for lengths that are bought, one for what a rule or calipers read. */
export const UNIT_SYSTEMS = ['yd-mm', 'yd-in', 'm-mm'] as const;
export type UnitSystem = (typeof UNIT_SYSTEMS)[number];
export const DEFAULT_UNITS: UnitSystem = 'yd-mm';
export const UNITS_COOKIE = 'wendle-units';

const UNITS: Record<UnitSystem, { long: 'yd' | 'm'; small: 'mm' | 'in' }> = {
	'yd-mm': { long: 'yd', small: 'mm' },
	'yd-in': { long: 'yd', small: 'in' },
	'm-mm': { long: 'm', small: 'mm' }
};

export const longUnit = (units: UnitSystem): 'yd' | 'm' => UNITS[units].long;
export const smallUnit = (units: UnitSystem): 'mm' | 'in' => UNITS[units].small;
/** Leaders are sold by the foot where line is sold by the yard. */
export const leaderUnit = (units: UnitSystem): LengthUnit => (longUnit(units) === 'yd' ? 'ft' : 'm');

/** Line brought in by a turn: to the millimetre, or to a tenth of an inch. */
export const showRetrieve = (mm: number, units: UnitSystem): string =>
	formatLength(mm, smallUnit(units), smallUnit(units) === 'mm' ? 0 : 1);

/** A bight for a loop test that is said in whole units, mm. */
export const usualBightMm = (units: UnitSystem): number => (longUnit(units) === 'yd' ? 1828.8 : 2000);

/** A line or backing length to the nearest yard or metre: nobody cuts finer. */
export const showLong = (mm: number, units: UnitSystem): string => formatLength(mm, longUnit(units), 0);
export const showSmall = (mm: number, units: UnitSystem): string => formatLength(mm, smallUnit(units));
/** A measure that is read or marked with a rule: in inches with the fraction that stands on one, "0.53 in (17/32)". */
export const showOnRule = (mm: number, units: UnitSystem): string =>
	smallUnit(units) === 'mm' ? showSmall(mm, units) : `${showSmall(mm, units)} (${formatFraction(mm)})`;
export const showLeader = (mm: number, units: UnitSystem): string => {
	const unit = leaderUnit(units);
	return formatLength(mm, unit, Number.isInteger(Math.round(fromMm(mm, unit) * 10) / 10) ? 0 : 1);
};
export const showTurns = (turns: number): string => formatNumber(turns, 0);
export const showLongRange = (lowMm: number, highMm: number, units: UnitSystem): string =>
	formatRange(lowMm, highMm, longUnit(units), 0);
export const showSmallRange = (lowMm: number, highMm: number, units: UnitSystem): string =>
	formatRange(lowMm, highMm, smallUnit(units));

/** A length to cut: rounded up to a whole five of the unit. */
export const showToCut = (mm: number, units: UnitSystem): string =>
	`${Math.ceil(fromMm(mm, longUnit(units)) / 5) * 5} ${longUnit(units)}`;

/** How thick a strand is: to a hundredth of a millimetre, or a thousandth of an inch. */
export const showThickness = (mm: number, units: UnitSystem): string =>
	formatLength(mm, smallUnit(units), smallUnit(units) === 'mm' ? 2 : 3);
