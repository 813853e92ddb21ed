import { CalendarDate } from '@internationalized/date';

/** JSON with its days as they are sent and kept: 2026-11-25. */
export const toJson = (value: unknown): string =>
	JSON.stringify(value, (_, held: unknown) => (held instanceof CalendarDate ? held.toString() : held));
