/** A day of the calendar, `2026-11-25`: no time of day and no time zone. */
export type Day = string;

/**
 * Days since 1970-01-01 of the Gregorian calendar (Hinnant, chrono-compatible low-level date algorithms: days_from_civil,
 * 2013).
 *
 * @throws RangeError for what is no day, such as 2027-02-29
 */
export function dayNumber(day: Day): number {
	const read = /^(\d{4})-(\d{2})-(\d{2})$/.exec(day);
	if (!read) throw new RangeError(`a day is written like 2026-11-25, got ${day}`);
	const [year, month, date] = read.slice(1).map(Number) as [number, number, number];
	const shifted = month <= 2 ? year - 1 : year;
	const era = Math.floor(shifted / 400);
	const yearOfEra = shifted - 400 * era;
	const dayOfYear = Math.floor((153 * (month > 2 ? month - 3 : month + 9) + 2) / 5) + date - 1;
	const dayOfEra = 365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear;
	const number = 146_097 * era + dayOfEra - 719_468;
	if (dayOf(number) !== day) throw new RangeError(`there is no day ${day}`);
	return number;
}

/** The day of a number (Hinnant: civil_from_days). */
export function dayOf(number: number): Day {
	const z = number + 719_468;
	const era = Math.floor(z / 146_097);
	const doe = z - 146_097 * era;
	const yoe = Math.floor(
		(doe - Math.floor(doe / 1460) + Math.floor(doe / 36_524) - Math.floor(doe / 146_096)) / 365
	);
	const doy = doe - (365 * yoe + Math.floor(yoe / 4) - Math.floor(yoe / 100));
	const mp = Math.floor((5 * doy + 2) / 153);
	const date = doy - Math.floor((153 * mp + 2) / 5) + 1;
	const month = mp < 10 ? mp + 3 : mp - 9;
	const year = yoe + 400 * era + (month <= 2 ? 1 : 0);
	const two = (n: number): string => String(n).padStart(2, '0');
	return `${String(year).padStart(4, '0')}-${two(month)}-${two(date)}`;
}

export const daysBetween = (from: Day, to: Day): number => dayNumber(to) - dayNumber(from);
export const addDays = (day: Day, days: number): Day => dayOf(dayNumber(day) + days);
