import { JOB_NAMES, type Day, type Due } from '$lib/core';
import type { StrandEntry } from '$lib/inventory/strands';
import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator';

/** A reminder the evening before: seconds before the day begins. */
const EVENING_BEFORE_S = 6 * 3600;
/** Midnight of a day in UTC: a whole day has no time, and the generator writes the day of that. */
const midnight = (day: Day): Date => day.toDate('UTC');

const WHY: Record<Due['because'], string> = {
	date: 'The job is due by its date.',
	'days-out': 'It has been fished for as many days as the rule allows.',
	twist: 'It has more twist than the rule allows.',
	failed: 'It failed its last test.',
	'line-change': 'The line over it was changed.',
	wet: 'It was wetted and dried often enough.',
	'not yet': 'Due by its date.'
};

/**
 * What falls due, as a calendar file: a whole day each. What is overdue, or due by days out or twist, stands on today and
 * moves on with it, its sequence counting up; what is due by its date keeps its name and sequence until that date changes.
 *
 * @param origin where the care page is, for the link in each entry
 */
export function calendarFile(entries: readonly StrandEntry[], today: Day, origin: string): string {
	const calendar = ical({
		name: 'Wendle: care',
		prodId: '//Wendle//Care//EN',
		method: ICalCalendarMethod.PUBLISH,
		ttl: 6 * 3600
	});
	for (const { kept, where, state, dues } of entries)
		for (const { job, on, because, overdue } of dues) {
			if (!overdue && on === undefined) continue;
			const since = state.events.at(0)?.day ?? today;
			const day = overdue ? today : on!;
			const key = encodeURIComponent(`${kept.id}/${job}/${overdue ? 'now' : String(on)}`);
			const event = calendar.createEvent({
				id: `${key}@wendle`,
				sequence: overdue ? Math.max(0, today.compare(since)) : 0,
				stamp: midnight(overdue ? today : since),
				start: midnight(day),
				end: midnight(day.add({ days: 1 })),
				allDay: true,
				summary: `${JOB_NAMES[job]}: ${kept.label}`,
				description: `${WHY[because]} ${kept.label}, ${where}.`,
				url: `${origin}/care`
			});
			event.createAlarm({
				type: ICalAlarmType.display,
				triggerBefore: EVENING_BEFORE_S,
				description: `${JOB_NAMES[job]}: ${kept.label}`
			});
		}
	return calendar.toString();
}
