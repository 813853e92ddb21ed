import { CalendarDate } from '@internationalized/date';

/** A day of the calendar: no time of day and no time zone. */
export type Day = CalendarDate;

/** Year, month and day, as they are kept and sent: 2026-11-25. */
const ISO = /^(\d{4})-(\d{2})-(\d{2})$/;

/** There are few days, and ten years of entries name each of them over and over. */
const MOST_KNOWN = 10_000;
const known = new Map<string, Day>();

/** A day as it is kept and sent; undefined for what is none, such as 2027-02-29. */
export function readDay(text: string): Day | undefined {
	const before = known.get(text);
	if (before) return before;
	const day = readAnew(text);
	if (known.size >= MOST_KNOWN) known.clear();
	if (day) known.set(text, day);
	return day;
}

function readAnew(text: string): Day | undefined {
	const read = ISO.exec(text);
	if (!read) return undefined;
	const [year, month, date] = read.slice(1).map(Number) as [number, number, number];
	// A day that does not exist, or a year 0, becomes the nearest that does: then it is written otherwise.
	const day = new CalendarDate(year, month, date);
	return day.toString() === text ? day : undefined;
}

/** A day as it is kept and sent. @throws RangeError for what is none */
export function dayOf(text: string): Day {
	const day = readDay(text);
	if (!day) throw new RangeError(`a day is written like 2026-11-25, got ${text}`);
	return day;
}

/** Days count from here on scales and in small histories. */
const EPOCH = new CalendarDate(1970, 1, 1);
/** Days since 1970-01-01. */
export const dayNumber = (day: Day): number => day.compare(EPOCH);
export const dayNumbered = (number: number): Day => EPOCH.add({ days: number });
