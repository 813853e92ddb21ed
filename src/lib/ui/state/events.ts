import type { RunEvent } from '$lib/core';

/** Those of `events` that are not among `known`, by their ids. */
export function without(events: readonly RunEvent[], known: readonly RunEvent[]): RunEvent[] {
	const ids = new Set(known.map(({ id }) => id));
	return events.filter(({ id }) => !ids.has(id));
}
