import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayNumber, dayOf, type Day } from './days';
import { careState, type CareEvent, type CareJob, type Strand } from './events';
import { paceOf } from './pace';
import { duesOf, USUAL_RULES, type CareRule, type Due } from './rules';

const LINE: Strand = { id: 'line', kind: 'line', label: 'Floating 6', lengthMm: 30_000, doubleTaper: false };
const BACKING: Strand = { ...LINE, id: 'backing', kind: 'backing', label: '20 lb' };
const BEGAN = dayOf('2027-01-10');

/** What doing a job is written down as. A line that is judged is kept, so that its life goes on. */
const DONE: Record<Exclude<CareJob, 'judge'>, Record<string, unknown>> = {
	clean: { kind: 'cleaned' },
	respool: { kind: 'let-out', share: 1, shareSd: 0 },
	'tug-test': { kind: 'tug-test', result: 'passed' },
	rinse: { kind: 'rinsed' }
};
const RULES = USUAL_RULES.filter(({ job }) => job !== 'judge');

interface Life {
	/** Each job that was done, and the day. */
	readonly done: readonly (readonly [job: CareJob, day: Day])[];
	/** Days on which something was due and, having been done, still was. */
	readonly stillDue: readonly Day[];
	readonly events: readonly CareEvent[];
}

/** Someone who goes out on these days, looks at what is due every evening, and does it at once. */
function live(
	kept: Strand,
	rules: readonly CareRule[],
	out: ReadonlyMap<number, 'fresh' | 'salt'>,
	days: number
): Life {
	const events: CareEvent[] = [];
	const add = (day: Day, what: Record<string, unknown>): unknown =>
		events.push({ id: `e${events.length}`, at: events.length, day, ...what } as unknown as CareEvent);
	const dues = (day: Day): Due[] =>
		duesOf(rules, kept, careState(kept, events), day).filter(({ overdue }) => overdue);
	const done: [CareJob, Day][] = [];
	const stillDue: Day[] = [];
	add(BEGAN, { kind: 'came' });
	for (let i = 1; i <= days; i++) {
		const day = BEGAN.add({ days: i });
		const water = out.get(i);
		if (water) add(day, { kind: 'fished', days: 1, water });
		for (const { job } of dues(day)) {
			if (job === 'judge') continue;
			add(day, DONE[job]);
			done.push([job, day]);
		}
		if (dues(day).length > 0) stillDue.push(day);
	}
	return { done, stillDue, events };
}

const season = fc
	.array(fc.tuple(fc.integer({ min: 1, max: 900 }), fc.constantFrom('fresh' as const, 'salt' as const)), {
		maxLength: 120
	})
	.map((days) => new Map(days));

describe('a life in which everything due is done the same evening', () => {
	it('nothing stays due, and nothing is asked for twice on one day', () => {
		fc.assert(
			fc.property(season, fc.constantFrom(LINE, BACKING), (out, kept) => {
				const { done, stillDue } = live(kept, RULES, out, 900);
				expect(stillDue).toEqual([]);
				expect(new Set(done.map(([job, day]) => `${job} ${day}`)).size).toBe(done.length);
			}),
			{ numRuns: 15 }
		);
	}, 30_000);
	it('by days out: cleaned after five that count, never after fewer and never after more', () => {
		fc.assert(
			fc.property(season, (out) => {
				const { done } = live(LINE, RULES, out, 900);
				const cleaned = done.filter(([job]) => job === 'clean').map(([, day]) => day.compare(BEGAN));
				let counted = 0;
				const expected: number[] = [];
				for (const [day, water] of [...out].sort(([a], [b]) => a - b)) {
					counted += water === 'salt' ? 2 : 1;
					if (counted < 5) continue;
					expected.push(day);
					counted = 0;
				}
				expect(cleaned).toEqual(expected);
			}),
			{ numRuns: 15 }
		);
	}, 30_000);
	it('by the calendar: backing a year after its last test, over a leap day as well', () => {
		const often = new Map(Array.from({ length: 90 }, (_, i) => [10 * i + 5, 'fresh'] as const));
		const { done } = live(BACKING, RULES, often, 900);
		expect(done.filter(([job]) => job === 'tug-test').map(([, day]) => day)).toEqual([
			BEGAN.add({ days: 365 }),
			BEGAN.add({ days: 730 })
		]);
		// 2028 has a 29 February between the two.
		expect(BEGAN.add({ days: 730 }).toString()).toBe('2029-01-09');
	});
	it('salt: backing is rinsed after each day in it, and after no other', () => {
		fc.assert(
			fc.property(season, (out) => {
				const { done } = live(BACKING, RULES, out, 900);
				const rinsed = done.filter(([job]) => job === 'rinse').map(([, day]) => day.compare(BEGAN));
				const salt = [...out].filter(([, water]) => water === 'salt').map(([day]) => day);
				expect(rinsed).toEqual(salt.sort((a, b) => a - b));
			}),
			{ numRuns: 15 }
		);
	}, 30_000);
});

describe('what is expected', () => {
	it('by the calendar alone, on its day; with days out, never later than that', () => {
		fc.assert(
			fc.property(season, fc.integer({ min: 100, max: 900 }), (out, at) => {
				const { events } = live(LINE, [], out, at);
				const today = BEGAN.add({ days: at });
				const state = careState(LINE, events);
				for (const { job, on, expectedOn, overdue, daysOutLeft } of duesOf(USUAL_RULES, LINE, state, today)) {
					if (on !== undefined) expect(dayNumber(expectedOn!)).toBeLessThanOrEqual(dayNumber(on));
					if (overdue || expectedOn === undefined) continue;
					expect(dayNumber(expectedOn)).toBeGreaterThanOrEqual(dayNumber(today));
					// So many days out at this pace: about the days between, as far as no date comes first.
					if (expectedOn === on || daysOutLeft === undefined) continue;
					const { saltCounts = 1, freshCounts = 1 } = USUAL_RULES.find((rule) => rule.job === job)!;
					const { fresh, salt } = paceOf(state, today).perYear;
					const counted = fresh * freshCounts + salt * saltCounts;
					expect((expectedOn.compare(today) * counted) / 365).toBeGreaterThanOrEqual(daysOutLeft - 1e-9);
				}
			}),
			{ numRuns: 25 }
		);
	}, 30_000);
	it.each(['fresh', 'salt'] as const)(
		'a year in %s water that goes on like the last brings it on the day that was said, give or take',
		(water) => {
			// Every tenth day: five days out take fifty, or half as many where salt counts twice.
			const regular = new Map(Array.from({ length: 60 }, (_, i) => [10 * (i + 1), water] as const));
			const { events } = live(LINE, RULES, regular, 403);
			const due = duesOf(RULES, LINE, careState(LINE, events), BEGAN.add({ days: 403 })).find(
				({ job }) => job === 'clean'
			)!;
			const { done } = live(LINE, RULES, regular, 500);
			const next = done.find(
				([job, day]) => job === 'clean' && day.compare(BEGAN.add({ days: 403 })) > 0
			)![1];
			expect(Math.abs(due.expectedOn!.compare(next))).toBeLessThanOrEqual(7);
		}
	);
});
