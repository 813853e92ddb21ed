import { type Day } from './days';
import type { CareState } from './events';

/** How often something goes out. */
export type Pace = 'seldom' | 'usual' | 'often';

/** Days out a year below which something is fished seldom, and from which on a lot. Assumptions. */
const SELDOM_PER_YEAR = 8;
const OFTEN_PER_YEAR = 40;
/** A thing that is younger than this says nothing yet, days. */
const LEAST_DAYS = 90;
const YEAR_DAYS = 365;

/** How often a thing went out over the last year, days a year in each water, and what that amounts to. */
export function paceOf(
	{ events }: CareState,
	today: Day
): { pace: Pace; perYear: { readonly fresh: number; readonly salt: number } } {
	const first = events.at(0)?.day;
	const age = first === undefined ? 0 : today.compare(first);
	const since = today.add({ days: -YEAR_DAYS });
	const days = { fresh: 0, salt: 0 };
	for (let i = events.length - 1; i >= 0 && events[i]!.day.compare(since) > 0; i--) {
		const event = events[i]!;
		if (event.kind === 'fished') days[event.water] += event.days;
	}
	const years = Math.min(Math.max(age, LEAST_DAYS), YEAR_DAYS) / YEAR_DAYS;
	const perYear = { fresh: days.fresh / years, salt: days.salt / years };
	if (age < LEAST_DAYS) return { pace: 'usual', perYear };
	const all = perYear.fresh + perYear.salt;
	return { pace: all < SELDOM_PER_YEAR ? 'seldom' : all >= OFTEN_PER_YEAR ? 'often' : 'usual', perYear };
}
