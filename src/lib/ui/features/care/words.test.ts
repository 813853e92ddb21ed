import { dayOf, type CareEvent, type Due } from '$lib/core';
import { describe, expect, it } from 'vitest';
import { DONE, dueText, eventText, momentText } from './words';
import { whatOf } from './event-kinds';

type Part<E> = E extends CareEvent ? Omit<E, 'id' | 'at' | 'day'> : never;
const said = (part: Part<CareEvent>): string =>
	eventText({ id: 'e', at: 1, day: dayOf('2026-04-03'), ...part } as CareEvent, 'm-mm');
const due = (part: Partial<Due>): Due => ({
	job: 'clean',
	on: undefined,
	daysOutLeft: undefined,
	expectedOn: undefined,
	because: 'not yet',
	overdue: false,
	...part
});

describe('what happened, in words', () => {
	it.each<[Part<CareEvent>, string]>([
		[{ kind: 'cleaned' }, '3 Apr 2026: cleaned'],
		[{ kind: 'fished', days: 1, water: 'salt' }, '3 Apr 2026: a day out, salt water'],
		[{ kind: 'fished', days: 4, water: 'fresh' }, '3 Apr 2026: 4 days out, fresh water'],
		[{ kind: 'loop-test', bightMm: 2000, spins: -3 }, '3 Apr 2026: loop test: 3.0 turns a metre'],
		[{ kind: 'tug-test', result: 'doubtful' }, '3 Apr 2026: tug test: doubtful'],
		[{ kind: 'let-out', share: 0.9, shareSd: 0.08 }, '3 Apr 2026: twist let out, about 90 %'],
		[{ kind: 'shortened', byMm: 2000 }, '3 Apr 2026: shortened by 2 m'],
		[{ kind: 'wetted', times: 1 }, '3 Apr 2026: wetted and dried'],
		[{ kind: 'wetted', times: 5 }, '3 Apr 2026: wetted and dried, 5 times'],
		[{ kind: 'moved', to: { on: 'coil', label: 'drawer' } }, '3 Apr 2026: put on a coil: drawer'],
		[{ kind: 'moved', to: { on: 'retired' } }, '3 Apr 2026: retired'],
		[
			{ kind: 'moved', to: { on: 'spool', spoolId: 's' }, gapMm: 4.24 },
			'3 Apr 2026: wound on its spool, gap 4.2 mm'
		],
		[{ kind: 'line-changed' }, '3 Apr 2026: the line over it was changed'],
		[{ kind: 'dressed', note: 'by the jetty' }, '3 Apr 2026: dressed; by the jetty']
	])('%o', (part, text) => {
		expect(said(part)).toBe(text);
	});
	it('a moment of a time line says where, how twisted, and nothing of twist where there is none to say', () => {
		const day = 20_546; // 2026-04-03
		const at = { day, twist: 1.26 };
		expect(momentText({ ...at, kind: 'moved', on: 'spool', place: 'Tarn', gapMm: 4 }, 'm-mm', true)).toBe(
			'3 Apr 2026: on Tarn, gap 4.0 mm; 1.3 turns a metre'
		);
		expect(momentText({ ...at, kind: 'moved', on: 'coil', place: 'drawer' }, 'm-mm', false)).toBe(
			'3 Apr 2026: on a coil: drawer'
		);
		expect(momentText({ ...at, kind: 'moved', on: 'retired' }, 'm-mm', false)).toBe('3 Apr 2026: retired');
		expect(momentText({ ...at, kind: 'fished', days: 2, salt: true }, 'm-mm', false)).toBe(
			'3 Apr 2026: 2 days out, salt water'
		);
	});
});

describe('what is due, in words', () => {
	it.each<[Partial<Due>, string]>([
		[{ on: dayOf('2026-04-03'), expectedOn: dayOf('2026-04-03') }, 'due by 3 Apr 2026'],
		[{ daysOutLeft: 1 }, "after 1 more day's fishing"],
		[{ daysOutLeft: 4 }, "after 4 more days' fishing"],
		[{ daysOutLeft: 4, expectedOn: dayOf('2026-05-01') }, "after 4 more days' fishing, about 1 May 2026"],
		[
			{ on: dayOf('2026-04-03'), daysOutLeft: 4, expectedOn: dayOf('2026-04-03') },
			"due by 3 Apr 2026, or after 4 more days' fishing"
		],
		[{ overdue: true, because: 'date', on: dayOf('2026-04-03') }, 'due since 3 Apr 2026'],
		[{ overdue: true, because: 'twist' }, 'due: too much twist'],
		[{ overdue: true, because: 'line-change' }, 'due: the line over it was changed'],
		[{ job: 'rinse', daysOutLeft: 1 }, 'after the next salt water'],
		[{ job: 'rinse', overdue: true, because: 'days-out' }, 'due: fished often enough']
	])('%o', (part, text) => {
		expect(dueText(due(part))).toBe(text);
	});
	it('what is done is written down as what its rule looks for', () => {
		expect(DONE.clean.event).toEqual({ kind: 'cleaned' });
		expect(DONE['tug-test'].event).toMatchObject({ result: 'passed' });
		// Twist taken out with no uncertainty to add.
		expect(DONE.respool.event).toMatchObject({ turns: { mean: 0, sd: 0 } });
	});
});

describe('what can be written down', () => {
	const kept = { id: 'k', label: 'x', lengthMm: 30_000, doubleTaper: false };
	const of = (kind: 'line' | 'backing', doubleTaper = false): string[] =>
		whatOf({ ...kept, kind, doubleTaper }).map(({ value }) => value);
	it('goes by what it is: backing is pulled, a line held up, and only a double taper turned round', () => {
		expect(of('backing')).toEqual(expect.arrayContaining(['tug-test', 'wetted', 'turned']));
		expect(of('backing')).not.toContain('loop-test');
		expect(of('line')).toEqual(expect.arrayContaining(['loop-test', 'let-out', 'cleaned']));
		expect(of('line')).not.toContain('turned');
		expect(of('line', true)).toContain('turned');
	});
});
