import type { Day } from '$lib/core';
import { DateFormatter } from '@internationalized/date';

// A day has no time and no zone: it is formatted as its midnight in UTC, in UTC, and is the same day everywhere.
const days = new DateFormatter('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' });
const weekdays = new DateFormatter('en-GB', { weekday: 'long', timeZone: 'UTC' });

/** A day as people write it: 3 Apr 2026. */
export const showDay = (day: Day): string => days.format(day.toDate('UTC'));
/** The day of the week of a day: Thursday. */
export const showWeekday = (day: Day): string => weekdays.format(day.toDate('UTC'));
