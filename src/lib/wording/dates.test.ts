import { dayNumber, dayNumbered, dayOf, workingDays } from '$lib/core';
import { afterEach, describe, expect, it } from 'vitest';
import { localeOf, showDay, showWeekday } from './dates';

const zone = process.env['TZ'];
afterEach(() => {
	process.env['TZ'] = zone ?? '';
});

describe('a day is the same day everywhere', () => {
	it.each(['America/Denver', 'Europe/Dublin', 'Pacific/Kiritimati', 'Pacific/Pago_Pago'])('in %s', (tz) => {
		process.env['TZ'] = tz;
		expect(showDay(dayOf('2027-03-01'))).toBe('1 Mar 2027');
		expect(showWeekday(dayOf('2026-11-26'))).toBe('Thursday');
		// Across the nights on which clocks change.
		for (const text of ['2026-03-08', '2026-03-29', '2026-10-25', '2026-11-01', '2028-02-29']) {
			const day = dayOf(text);
			expect(showDay(day)).toContain(String(Number(text.slice(8))));
			expect(day.add({ days: 1 }).compare(day)).toBe(1);
			expect(dayNumbered(dayNumber(day)).toString()).toBe(text);
		}
		expect(workingDays(dayOf('2026-11-25')).map((day) => showWeekday(day))).toEqual([
			'Wednesday',
			'Thursday',
			'Friday',
			'Monday',
			'Tuesday'
		]);
	});
});

describe('a day is written as the person writes it', () => {
	it.each([
		['en-US,en;q=0.9', 'Mar 1, 2027'],
		['de-DE,en-AU;q=0.5', '1 Mar 2027'],
		['en', '1 Mar 2027'],
		['fr', '1 Mar 2027'],
		['en-<script>', '1 Mar 2027'],
		['', '1 Mar 2027']
	])('%s: %s', (languages, text) => {
		expect(showDay(dayOf('2027-03-01'), localeOf(languages))).toBe(text);
	});
	it('and as everywhere where nothing is asked for', () => expect(localeOf(null)).toBe('en-GB'));
});
