import type { Day } from '$lib/core';

/** What day it is where someone is, by the clock of the server; in UTC where nobody said where, or said nonsense. */
export function todayIn(zone: string | undefined, now = new Date()): Day {
	try {
		const parts = new Intl.DateTimeFormat('en-GB', {
			timeZone: zone ?? 'UTC',
			year: 'numeric',
			month: '2-digit',
			day: '2-digit'
		}).formatToParts(now);
		const part = (type: string): string => parts.find((one) => one.type === type)!.value;
		return `${part('year')}-${part('month')}-${part('day')}`;
	} catch {
		return todayIn(undefined, now);
	}
}
