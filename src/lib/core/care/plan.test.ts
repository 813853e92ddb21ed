import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayOf } from './days';
import { dueBefore, spread, workingDays, type PlanItem, type PlannedThing } from './plan';
import type { Due } from './rules';

const due = (job: Due['job'], overdue: boolean, expectedOn?: string): Due => ({
	job,
	on: expectedOn === undefined ? undefined : dayOf(expectedOn),
	expectedOn: expectedOn === undefined ? undefined : dayOf(expectedOn),
	daysOutLeft: undefined,
	because: overdue ? 'date' : 'not yet',
	overdue
});
const THINGS: PlannedThing[] = [
	{ id: 'line', place: 'Tarn', dues: [due('clean', true), due('respool', false, '2027-03-01')] },
	{ id: 'backing', place: 'Tarn', dues: [due('tug-test', false, '2027-09-01')] },
	{ id: 'head', place: 'coil', dues: [due('judge', false)] }
];

describe('what to do before a day', () => {
	it('is what is overdue and what will be, with its minutes', () => {
		expect(dueBefore(THINGS, dayOf('2027-03-01')).map(({ thing, job }) => `${thing} ${job}`)).toEqual([
			'line clean',
			'line respool'
		]);
		expect(dueBefore(THINGS, dayOf('2027-02-28'))).toHaveLength(1);
		expect(dueBefore(THINGS, dayOf('2030-01-01')).reduce((sum, { minutes }) => sum + minutes, 0)).toBe(35);
	});
	it('working days are Monday to Friday', () => {
		// 2026-11-25 is a Wednesday.
		expect(workingDays(dayOf('2026-11-25')).map(String)).toEqual([
			'2026-11-25',
			'2026-11-26',
			'2026-11-27',
			'2026-11-30',
			'2026-12-01'
		]);
	});
	const item = fc.record({
		thing: fc.string(),
		place: fc.constantFrom('a', 'b', 'c', 'd'),
		job: fc.constant('clean' as const),
		minutes: fc.integer({ min: 1, max: 60 }),
		overdue: fc.boolean(),
		expectedOn: fc.constant(undefined)
	});
	it('spread over sittings nothing is lost, nothing done twice, and no sitting is too long', () => {
		fc.assert(
			fc.property(fc.array(item), fc.integer({ min: 5, max: 120 }), (items: PlanItem[], minutesEach) => {
				const { sittings, over } = spread(items, workingDays(dayOf('2026-11-25')), minutesEach);
				const done = [...sittings.flatMap((sitting) => sitting.items), ...over];
				expect(done).toHaveLength(items.length);
				expect(new Set(done).size).toBe(items.length);
				for (const { items, minutes } of sittings) {
					expect(minutes).toBeLessThanOrEqual(minutesEach);
					expect(minutes).toBe(items.reduce((sum, one) => sum + one.minutes, 0));
				}
				// What is left over had no room: it is longer than what is free anywhere.
				const free = Math.max(
					...workingDays(dayOf('2026-11-25')).map(
						(day) => minutesEach - (sittings.find((s) => s.day.compare(day) === 0)?.minutes ?? 0)
					)
				);
				for (const { minutes } of over) expect(minutes).toBeGreaterThan(free);
			})
		);
	});
	it('what is at one place is done together where a sitting has room for it', () => {
		const items = dueBefore(THINGS, dayOf('2030-01-01'));
		const { sittings } = spread(items, workingDays(dayOf('2026-11-25')), 40);
		expect(sittings).toHaveLength(1);
		expect(() => spread(items, [], 0)).toThrow(RangeError);
	});
});
