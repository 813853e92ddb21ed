import type { Day } from '$lib/core';
import { DateFormatter } from '@internationalized/date';

/** How days are written where nobody says otherwise: 3 Apr 2026 is read the same way everywhere. */
export const DEFAULT_LOCALE = 'en-GB';

/** The person's way of writing English, by the languages that their browser asks for: "en-US,en;q=0.9,de;q=0.8" is en-US. */
export function localeOf(languages: string | null): string {
	const asked = (languages ?? '').split(',').map((one) => one.split(';')[0]!.trim());
	const english = asked.filter((tag) => /^en(?:-[A-Za-z0-9-]{2,30})?$/.test(tag) && tag !== 'en');
	return Intl.DateTimeFormat.supportedLocalesOf(english)[0] ?? DEFAULT_LOCALE;
}

// A day has no time and no zone: it is formatted as its midnight in UTC, in UTC, and is the same day everywhere.
const formats = new Map<string, DateFormatter>();
function formatIn(locale: string, options: Intl.DateTimeFormatOptions): DateFormatter {
	const key = `${locale} ${Object.keys(options).join()}`;
	const format = formats.get(key) ?? new DateFormatter(locale, { ...options, timeZone: 'UTC' });
	formats.set(key, format);
	return format;
}

/** A day as people write it: 3 Apr 2026, or Apr 3, 2026. */
export const showDay = (day: Day, locale = DEFAULT_LOCALE): string =>
	formatIn(locale, { day: 'numeric', month: 'short', year: 'numeric' }).format(day.toDate('UTC'));
/** The day of the week of a day: Thursday. */
export const showWeekday = (day: Day, locale = DEFAULT_LOCALE): string =>
	formatIn(locale, { weekday: 'long' }).format(day.toDate('UTC'));
/** A moment as people write it, in their time zone: 3 Apr 2026, 18:30. @throws RangeError for a zone that there is not */
export const showMoment = (at: Date, locale: string, timeZone: string): string =>
	new DateFormatter(locale, { dateStyle: 'medium', timeStyle: 'short', timeZone }).format(at);
