import { CalendarDate, parseDate } from '@internationalized/date';

/** A day of the calendar: no time of day and no time zone. */
export type Day = CalendarDate;

/** Year, month and day, as they are kept and sent: 2026-11-25. */
const ISO = /^\d{4}-\d{2}-\d{2}$/;

/** A day as it is kept and sent; undefined for what is none, such as 2027-02-29. */
export function readDay(text: string): Day | undefined {
	if (!ISO.test(text)) return undefined;
	try {
		const day = parseDate(text);
		// There is no year 0.
		return day.toString() === text ? day : undefined;
	} catch {
		return undefined;
	}
}

/** A day as it is kept and sent. @throws RangeError for what is none */
export function dayOf(text: string): Day {
	const day = readDay(text);
	if (!day) throw new RangeError(`a day is written like 2026-11-25, got ${text}`);
	return day;
}

export const daysBetween = (from: Day, to: Day): number => to.compare(from);
export const addDays = (day: Day, days: number): Day => day.add({ days });

/** Days count from here on scales and in small histories. */
const EPOCH = new CalendarDate(1970, 1, 1);
/** Days since 1970-01-01. */
export const dayNumber = (day: Day): number => daysBetween(EPOCH, day);
export const dayNumbered = (number: number): Day => addDays(EPOCH, number);
