import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayNumber, dayNumbered, dayOf, readDay } from './days';
import { careState, counting, type CareEvent, type Strand } from './events';
import { paceOf } from './pace';
import { dueBy, duesOf, USUAL_RULES, type CareRule, type Due } from './rules';

const LINE: Strand = { id: 'line', kind: 'line', label: 'Floating 6', lengthMm: 30_000, doubleTaper: false };
const BACKING: Strand = { ...LINE, id: 'backing', kind: 'backing', label: '20 lb' };
let count = 0;
type Part<E> = E extends CareEvent ? Omit<E, 'id' | 'at' | 'day'> : never;
const at = (day: string, part: Part<CareEvent>, id?: string): CareEvent =>
	({ id: id ?? `e${(count += 1)}`, at: (count += 1), day: dayOf(day), ...part }) as CareEvent;
const fished = (day: string, days = 1, water: 'fresh' | 'salt' = 'fresh') =>
	at(day, { kind: 'fished', days, water });
const rule = (job: CareRule['job']) => USUAL_RULES.find((one) => one.job === job)!;

describe('days', () => {
	it('agree with the proleptic Gregorian calendar of ECMAScript, leap days too', () => {
		fc.assert(
			fc.property(fc.integer({ min: -200_000, max: 900_000 }), (number) => {
				const day = new Date(number * 86_400_000).toISOString().slice(0, 10);
				if (!/^\d{4}-/.test(day)) return;
				expect(dayNumbered(number).toString()).toBe(day);
				expect(dayNumber(dayOf(day))).toBe(number);
			})
		);
		expect(dayOf('2028-03-01').compare(dayOf('2028-02-28'))).toBe(2);
		expect(dayOf('2027-03-01').compare(dayOf('2027-02-28'))).toBe(1);
		expect(dayOf('2027-12-31').add({ days: 1 })).toEqual(dayOf('2028-01-01'));
	});
	it.each(['2027-02-29', '2027-13-01', '2027-00-10', '2027-1-1', 'soon', ''])('%s is none', (day) => {
		expect(() => dayOf(day)).toThrow(RangeError);
		expect(readDay(day)).toBeUndefined();
	});
});

describe('a thing and what happened to it', () => {
	const SEASON: CareEvent[] = [
		at('2026-04-01', { kind: 'came' }),
		at('2026-04-02', { kind: 'moved', to: { on: 'spool', spoolId: 'tarn' }, turns: { mean: 60, sd: 5 } }),
		fished('2026-05-01', 3),
		at('2026-05-10', { kind: 'cleaned' }),
		fished('2026-06-01', 2, 'salt')
	];
	it('knows where it is, how often it was out, and when it was last seen to', () => {
		const state = careState(LINE, SEASON);
		expect(state).toMatchObject({
			whereabouts: { on: 'spool', spoolId: 'tarn' },
			daysOut: 5,
			saltDays: 2,
			last: { cleaned: { day: dayOf('2026-05-10'), daysOutSince: 2 }, came: { daysOutSince: 5 } }
		});
		expect(state.twist.perMetre.mean).toBeGreaterThan(2);
	});
	it('is the same in whatever order, and however often, events come', () => {
		fc.assert(
			fc.property(fc.shuffledSubarray(SEASON, { minLength: SEASON.length }), (shuffled) => {
				expect(careState(LINE, [...shuffled, ...shuffled.slice(0, 2)])).toEqual(careState(LINE, SEASON));
			})
		);
	});
	it('what is undone does not count, and counts again when that is undone; history stays', () => {
		const wrong = at('2026-06-02', { kind: 'fished', days: 12, water: 'fresh' });
		const back = at('2026-06-03', { kind: 'undone', of: wrong.id });
		const again = at('2026-06-04', { kind: 'undone', of: back.id });
		expect(careState(LINE, [...SEASON, wrong]).daysOut).toBe(17);
		expect(careState(LINE, [...SEASON, wrong, back])).toEqual(careState(LINE, SEASON));
		expect(careState(LINE, [...SEASON, wrong, back, again]).daysOut).toBe(17);
		expect(counting([...SEASON, wrong, back])).toHaveLength(SEASON.length);
	});
	it('nobody said how it was wound: its twist is doubtful, and a loop test says more than that', () => {
		const came = at('2026-04-01', { kind: 'came' });
		const wound = at('2026-04-01', { kind: 'moved', to: { on: 'spool', spoolId: 'tarn' } });
		const test = at('2026-04-02', { kind: 'loop-test', bightMm: 2000, spins: 3 });
		const [before, after] = [careState(LINE, [came, wound]), careState(LINE, [came, wound, test])];
		expect(before.twist.perMetre.mean).toBe(0);
		expect(before.twist.perMetre.sd).toBeGreaterThan(0.5);
		expect(after.twist.perMetre.mean).toBeGreaterThan(1);
		expect(after.twist.perMetre.sd).toBeLessThan(before.twist.perMetre.sd);
	});
	it('a line gets shorter, moves, and is retired', () => {
		const state = careState(LINE, [
			...SEASON,
			at('2026-07-01', { kind: 'shortened', byMm: 500 }),
			at('2026-07-02', { kind: 'moved', to: { on: 'coil', label: 'winter' } }),
			at('2026-08-02', { kind: 'moved', to: { on: 'retired' } })
		]);
		expect(state.lengthMm).toBe(29_500);
		expect(state.whereabouts).toEqual({ on: 'retired' });
		expect(duesOf(USUAL_RULES, LINE, state, dayOf('2036-01-01'))).toEqual([]);
	});
});

describe('what falls due (common practice)', () => {
	const CAME = at('2026-04-01', { kind: 'came' });
	/** With its days as they are written. */
	const written = (due: Due | undefined) =>
		due && { ...due, on: due.on?.toString(), expectedOn: due.expectedOn?.toString() };
	const later = (day: string, days: number): string => dayOf(day).add({ days: days }).toString();
	const due = (job: CareRule['job'], events: readonly CareEvent[], today: string, kept = LINE) =>
		written(dueBy(rule(job), kept, careState(kept, events), dayOf(today)));
	it('what is fished seldom has longer, what is fished a lot less; what is young counts as usual', () => {
		const after = (days: number) => due('respool', [CAME, fished('2026-06-01', days)], '2026-12-01')!.on;
		expect(after(2)).toBe(later('2026-04-01', 548));
		expect(after(15)).toBe('2027-04-01');
		expect(after(60)).toBe(later('2026-04-01', 243));
		expect(due('respool', [CAME], '2026-05-01')!.on).toBe('2027-04-01');
		expect(paceOf(careState(LINE, [CAME, fished('2026-06-01', 30)]), dayOf('2027-06-02'))).toEqual({
			pace: 'seldom',
			perYear: { fresh: 0, salt: 0 }
		});
	});
	it('by days out, it is expected when the pace of the last year brings it there', () => {
		const events = [CAME, fished('2026-06-01', 24), at('2026-06-02', { kind: 'cleaned' })];
		// 24 days in 244: five more in 51 days.
		expect(due('clean', events, '2026-12-01')!.expectedOn).toBe(later('2026-12-01', 51));
		expect(due('clean', [CAME], '2026-12-01')!.expectedOn).toBeUndefined();
		// In salt, where each counts for two, they are reached in half the time; rinsing follows salt, and is not foreseen.
		const salty = [CAME, at('2026-06-01', { kind: 'fished', days: 24, water: 'salt' }), events[2]!];
		expect(due('clean', salty, '2026-12-01')!.expectedOn).toBe(later('2026-12-01', 26));
		const rinsed = [...salty, at('2026-06-03', { kind: 'rinsed' })];
		expect(due('rinse', rinsed, '2026-12-01', BACKING)!.expectedOn).toBeUndefined();
		expect(due('judge', events, '2026-12-01')!.expectedOn).toBe('2028-03-31');
	});
	it('backing at each change of the line over it, and when it was wetted and dried often enough', () => {
		const changed = at('2026-06-01', { kind: 'line-changed' });
		const passed = at('2026-06-02', { kind: 'tug-test', result: 'passed' });
		const because = (...events: CareEvent[]) => due('tug-test', [CAME, ...events], '2026-06-03', BACKING)!;
		expect(because(changed)).toMatchObject({ because: 'line-change', overdue: true });
		expect(because(changed, passed).overdue).toBe(false);
		expect(because(at('2026-06-01', { kind: 'wetted', times: 19 })).overdue).toBe(false);
		expect(because(at('2026-06-01', { kind: 'wetted', times: 20 }))).toMatchObject({ because: 'wet' });
		expect(because(at('2026-06-01', { kind: 'tug-test', result: 'doubtful' })).because).toBe('failed');
	});
	it('by days out: five fresh, fewer in salt, and none after cleaning', () => {
		const four = [CAME, fished('2026-05-01', 4)];
		expect(due('clean', four, '2026-05-02')).toMatchObject({ daysOutLeft: 1, overdue: false });
		expect(due('clean', [...four, fished('2026-05-03')], '2026-05-03')).toMatchObject({
			because: 'days-out',
			overdue: true
		});
		expect(due('clean', [CAME, fished('2026-05-01', 3, 'salt')], '2026-05-02')!.overdue).toBe(true);
		expect(
			due('clean', [...four, fished('2026-05-03'), at('2026-05-04', { kind: 'cleaned' })], '2026-05-05')
		).toMatchObject({ daysOutLeft: 5, overdue: false });
	});
	it('by date: a year after it came or was last respooled, on that day and not the day before', () => {
		const out = [CAME, fished('2026-06-01', 12)];
		expect(due('respool', out, '2027-03-31')).toMatchObject({ on: '2027-04-01', overdue: false });
		expect(due('respool', out, '2027-04-01')).toMatchObject({ because: 'date', overdue: true });
		const again = [...out, at('2027-04-05', { kind: 'respooled' })];
		expect(due('respool', again, '2027-04-06')).toMatchObject({ on: '2028-04-04', overdue: false });
	});
	it('by twist, whatever the date', () => {
		const careless = at('2026-04-02', {
			kind: 'moved',
			to: { on: 'coil', label: 'a' },
			turns: { mean: -70, sd: 4 }
		});
		expect(due('respool', [CAME, careless], '2026-04-03')).toMatchObject({ because: 'twist', overdue: true });
		const out = at('2026-04-04', { kind: 'let-out', share: 0.9, shareSd: 0.05 });
		expect(due('respool', [CAME, careless, out], '2026-04-05')!.overdue).toBe(false);
	});
	it('backing that failed its test is overdue at once; a line is not tug-tested', () => {
		const tested = (result: 'passed' | 'failed') => [CAME, at('2026-05-01', { kind: 'tug-test', result })];
		expect(due('tug-test', tested('failed'), '2026-05-01', BACKING)).toMatchObject({ because: 'failed' });
		expect(due('tug-test', tested('passed'), '2026-05-01', BACKING)).toMatchObject({
			on: '2027-05-01',
			overdue: false
		});
		expect(due('tug-test', [CAME], '2026-05-01')).toBeUndefined();
	});
	it('by the calendar a job is due so many days after it was done, over leap years and centuries', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: -20_000, max: 60_000 }),
				fc.integer({ min: 1, max: 800 }),
				(from, everyDays) => {
					const came = { ...CAME, day: dayNumbered(from) };
					const rule: CareRule = { job: 'clean', kinds: ['line'], everyDays };
					const on = dueBy(rule, LINE, careState(LINE, [came]), dayNumbered(from))!.on!;
					expect(dayNumber(on)).toBe(from + everyDays);
				}
			)
		);
	});
	it('what is overdue comes first, then by its day', () => {
		const dues = duesOf(
			USUAL_RULES,
			LINE,
			careState(LINE, [CAME, fished('2026-05-01', 6)]),
			dayOf('2026-05-02')
		);
		expect(dues.map(({ job, overdue }) => [job, overdue])).toEqual([
			['clean', true],
			['respool', false],
			['judge', false]
		]);
	});
	it('where two rules ask for one job, it is asked for once: by the one that is first', () => {
		const state = careState(LINE, [CAME]);
		const rules: CareRule[] = [
			{ job: 'clean', kinds: ['line'], everyDays: 300 },
			{ job: 'clean', kinds: ['line'], everyDays: 30 }
		];
		expect(duesOf(rules, LINE, state, dayOf('2026-04-02')).map(({ on }) => on?.toString())).toEqual([
			'2026-05-01'
		]);
		expect(duesOf(rules, LINE, state, dayOf('2027-04-02'))).toHaveLength(1);
	});
	it('is the same day in every time zone: a day has none', () => {
		const zone = process.env['TZ'];
		const seen = ['Pacific/Kiritimati', 'America/Anchorage', 'Europe/Dublin'].map((tz) => {
			process.env['TZ'] = tz;
			return due('respool', [CAME], '2027-04-01');
		});
		process.env['TZ'] = zone ?? '';
		expect(new Set(seen.map((one) => JSON.stringify(one))).size).toBe(1);
	});
});
