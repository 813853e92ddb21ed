import { careState, type CareEvent, type Kept, dayOf } from '$lib/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { careQuery, careRow, isShown, momentsOf, readCareFilter, type CareFilter } from './care-page';
import { coilLabel, sectionsOf } from './coil-label';
import type { KeptEntry } from './kept';
import { newComponent } from './new-setup';

const LINE: Kept = { id: 's:line', kind: 'line', label: 'Floating 6', lengthMm: 27_432, doubleTaper: false };
type Part<E> = E extends CareEvent ? Omit<E, 'id' | 'at'> : never;
const life = (...parts: Part<CareEvent>[]): CareEvent[] =>
	parts.map((part, i) => ({ id: `e${i}`, at: i, ...part }) as CareEvent);
const entry = (events: CareEvent[], kept = LINE): KeptEntry => {
	const state = careState(kept, events);
	const spoolId = state.whereabouts?.on === 'spool' ? state.whereabouts.spoolId : null;
	return { kept, where: spoolId ?? 'on a coil: box', spoolId, state, dues: [] };
};
const ON_SPOOL = life(
	{ day: dayOf('2026-04-01'), kind: 'came' },
	{ day: dayOf('2026-04-01'), kind: 'moved', to: { on: 'spool', spoolId: 'tarn' }, gapMm: 4 }
);
const ON_COIL = life({ day: dayOf('2026-04-01'), kind: 'moved', to: { on: 'coil', label: 'box' } });
const RETIRED = life({ day: dayOf('2026-04-01'), kind: 'moved', to: { on: 'retired' } });

describe('the filter in an address', () => {
	const filter: fc.Arbitrary<CareFilter> = fc.record({
		sought: fc.string({ maxLength: 20 }),
		kind: fc.constantFrom('all' as const, 'line' as const, 'backing' as const),
		where: fc.constantFrom(
			'kept' as const,
			'spool' as const,
			'coil' as const,
			'retired' as const,
			'all' as const
		),
		due: fc.boolean(),
		spool: fc.constantFrom(null, 'tarn'),
		thing: fc.constantFrom(null, 's:line'),
		show: fc.integer({ min: 1, max: 2000 })
	});
	it('reads back as it was written, whatever was looked for', () => {
		fc.assert(
			fc.property(filter, (one) => {
				expect(readCareFilter(new URLSearchParams(careQuery(one)))).toEqual(one);
			})
		);
	});
	it('nothing said is nothing in the address', () => {
		expect(careQuery(readCareFilter(new URLSearchParams()))).toBe('');
	});
	it('shows what is kept, and the retired only when asked', () => {
		const usual = readCareFilter(new URLSearchParams());
		const shown = (where: CareFilter['where']): boolean[] =>
			[ON_SPOOL, ON_COIL, RETIRED].map((events) => isShown(entry(events), { ...usual, where }));
		expect(shown('kept')).toEqual([true, true, false]);
		expect(shown('spool')).toEqual([true, false, false]);
		expect(shown('coil')).toEqual([false, true, false]);
		expect(shown('retired')).toEqual([false, false, true]);
		expect(shown('all')).toEqual([true, true, true]);
		expect(isShown(entry(ON_COIL), { ...usual, sought: ' BOX ' })).toBe(true);
		expect(isShown(entry(ON_COIL), { ...usual, sought: 'tarn' })).toBe(false);
	});
});

describe('a history written small', () => {
	it('has every moment, with its twist from then on, and where things went', () => {
		const events = [
			...ON_SPOOL,
			...life(
				{ day: dayOf('2026-05-01'), kind: 'fished', days: 3, water: 'salt' },
				{ day: dayOf('2026-05-02'), kind: 'loop-test', bightMm: 2000, spins: -2 },
				{ day: dayOf('2026-06-01'), kind: 'moved', to: { on: 'coil', label: 'a "box"' } },
				{ day: dayOf('2027-06-01'), kind: 'moved', to: { on: 'retired' } }
			).map((event, i) => ({ ...event, id: `f${i}`, at: 10 + i }))
		];
		const row = careRow(entry(events), (id) => `the ${id}`);
		const moments = momentsOf(row.history);
		expect(moments).toHaveLength(events.length);
		expect(moments[1]).toMatchObject({ kind: 'moved', on: 'spool', place: 'the tarn', gapMm: 4 });
		expect(moments[2]).toMatchObject({ kind: 'fished', days: 3, salt: true });
		// Without its hand: a lane shows how much.
		expect(moments[3]!.twist).toBeGreaterThan(0.5);
		expect(moments[4]).toMatchObject({ on: 'coil', place: 'a "box"' });
		expect(moments[5]).toMatchObject({ on: 'retired' });
		expect(row.retired).toBe(true);
		expect(row.history.length).toBeLessThan(45 * events.length);
	});
});

describe('the label of a coil', () => {
	const state = careState(LINE, [
		...ON_COIL,
		...life({ day: dayOf('2026-05-02'), kind: 'loop-test', bightMm: 2000, spins: -2 }).map((event) => ({
			...event,
			id: 't',
			at: 9
		}))
	]);
	it('says what it is, which end comes first, its twist and hand, and since when it lies there', () => {
		const label = coilLabel(LINE, state, 'yd-mm');
		expect(label.name).toBe('Floating 6');
		expect(label.lines.slice(0, 3)).toEqual(['line, 30 yd', 'rear end first', 'box']);
		expect(label.foot).toMatch(/^2026-04-01; twist \d\.\d a metre left$/);
	});
	it('backing has neither a rear end nor a twist worth saying', () => {
		const label = coilLabel({ ...LINE, kind: 'backing' }, state, 'm-mm');
		expect(label.lines[0]).toBe('backing, 27 m');
		expect([...label.lines, label.foot].join()).not.toMatch(/rear|twist/);
	});
	it('is drawn as it is made: a taper as its taper, backing level', () => {
		const line = sectionsOf(newComponent('line', 'line'), 27_432);
		expect(line.length).toBeGreaterThan(2);
		const backing = sectionsOf({ ...newComponent('b', 'backing'), solve: true }, 90_000);
		expect(backing).toMatchObject([{ lengthMm: 90_000 }]);
	});
});
