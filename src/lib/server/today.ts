import type { Day } from '$lib/core';
import { fromDate, toCalendarDate } from '@internationalized/date';

/** What day an instant is where someone is; in UTC where nobody said where, or said nonsense. */
export function dayIn(zone: string | undefined, instant: Date): Day {
	try {
		return toCalendarDate(fromDate(instant, zone ?? 'UTC'));
	} catch {
		return dayIn(undefined, instant);
	}
}

/** The zone that a browser said it is in; UTC where it said none, or nonsense. */
export function zoneOf(said: string | undefined): string {
	try {
		return new Intl.DateTimeFormat('en', { timeZone: said ?? 'UTC' }).resolvedOptions().timeZone;
	} catch {
		return 'UTC';
	}
}

/** What day it is there, by the clock of the server. */
export const todayIn = (zone: string | undefined, now = new Date()): Day => dayIn(zone, now);
