import { describe, expect, it } from 'vitest';
import { staying } from './rotation';

const NOW = new Date('2026-11-28T12:00:00Z');
const DAY_MS = 86_400_000;
const daysAgo = (days: number): Date => new Date(NOW.getTime() - days * DAY_MS);
const stayingDays = (madeAt: Date[]): string[] =>
	[...staying(madeAt, NOW)].map((at) => at.toISOString().slice(0, 10)).sort();

describe('which backups stay', () => {
	it('everything of the last day', () => {
		const today = [0.01, 0.2, 0.4, 0.9].map(daysAgo);
		expect(staying(today, NOW).size).toBe(4);
	});
	it('of two years of daily backups seven days, four weeks and twelve months', () => {
		const days = stayingDays(Array.from({ length: 730 }, (_, i) => daysAgo(i + 0.1)));
		expect(days.slice(-7)).toEqual([
			'2026-11-22',
			'2026-11-23',
			'2026-11-24',
			'2026-11-25',
			'2026-11-26',
			'2026-11-27',
			'2026-11-28'
		]);
		// The Sundays that end the weeks before, and the last days of the months before.
		expect(days).toEqual(expect.arrayContaining(['2026-11-15', '2026-11-08', '2026-10-31', '2025-12-31']));
		expect(days).toHaveLength(7 + 2 + 11);
		expect(days[0]).toBe('2025-12-31');
	});
	it('the newest of each day, and those of somebody who makes few as long as there are few', () => {
		expect(stayingDays([daysAgo(3.1), daysAgo(3.3), daysAgo(3.4)])).toEqual(['2026-11-25']);
		expect(stayingDays([400, 500, 600].map(daysAgo))).toHaveLength(3);
	});
});
