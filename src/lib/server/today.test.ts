import { describe, expect, it } from 'vitest';
import { todayIn } from './today';

describe('what day it is', () => {
	const NOON = new Date('2026-03-01T11:30:00Z');
	it.each([
		[undefined, '2026-03-01'],
		['Pacific/Kiritimati', '2026-03-02'],
		['Pacific/Pago_Pago', '2026-03-01'],
		['the moon', '2026-03-01'],
		['', '2026-03-01']
	])('in %s', (zone, day) => {
		expect(todayIn(zone, NOON).toString().toString()).toBe(day);
	});
	it('just before midnight, and across daylight saving', () => {
		expect(todayIn('America/New_York', new Date('2026-03-08T04:59:00Z')).toString()).toBe('2026-03-07');
		expect(todayIn('America/New_York', new Date('2026-03-09T03:59:00Z')).toString()).toBe('2026-03-08');
		expect(todayIn('Europe/Dublin', new Date('2026-10-24T23:30:00Z')).toString()).toBe('2026-10-25');
	});
});
