import { dayOf, readDay, type Day as CalendarDay } from '$lib/core';
import { z } from 'zod';

/** A day over the wire and in a row, `2026-11-25`; read as what it is. */
export const Day = z
	.string()
	.refine((text) => readDay(text) !== undefined, { error: 'Give a day, such as 2026-11-25.' })
	.transform((text): CalendarDay => dayOf(text))
	.meta({ override: { type: 'string', format: 'date' } });
