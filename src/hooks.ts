import { dayOf } from '$lib/core';
import { CalendarDate } from '@internationalized/date';
import type { Transport } from '@sveltejs/kit';

/** What pages get from the server beside plain data: a day stays a day on the way. */
export const transport: Transport = {
	Day: {
		encode: (value) => value instanceof CalendarDate && value.toString(),
		decode: (text: string) => dayOf(text)
	}
};
