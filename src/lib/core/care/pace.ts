import { addDays, daysBetween, type Day } from './days';
import type { CareState } from './events';

/** How often something goes out. */
export type Pace = 'seldom' | 'usual' | 'often';

/** Days out a year below which something is fished seldom, and from which on a lot. Assumptions. */
const SELDOM_PER_YEAR = 8;
const OFTEN_PER_YEAR = 40;
/** A thing that is younger than this says nothing yet, days. */
const LEAST_DAYS = 90;
const YEAR_DAYS = 365;

/** How often a thing went out over the last year, days a year, and what that amounts to. */
export function paceOf({ events }: CareState, today: Day): { pace: Pace; perYear: number } {
	const first = events.at(0)?.day;
	const age = first === undefined ? 0 : daysBetween(first, today);
	const since = addDays(today, -YEAR_DAYS);
	let days = 0;
	for (let i = events.length - 1; i >= 0 && events[i]!.day > since; i--) {
		const event = events[i]!;
		if (event.kind === 'fished') days += event.days;
	}
	const perYear = (days * YEAR_DAYS) / Math.min(Math.max(age, LEAST_DAYS), YEAR_DAYS);
	if (age < LEAST_DAYS) return { pace: 'usual', perYear };
	return {
		pace: perYear < SELDOM_PER_YEAR ? 'seldom' : perYear >= OFTEN_PER_YEAR ? 'often' : 'usual',
		perYear
	};
}
