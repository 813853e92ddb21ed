import { careState, type CareEvent, type Strand, dayOf } from '$lib/core';
import { describe, expect, it } from 'vitest';
import { careRow, isShown, momentsOf, USUAL_FILTER, type CareFilter } from './care-rows';
import type { StrandEntry } from './strands';

const LINE: Strand = {
	id: 's:line',
	kind: 'line',
	label: 'Floating 6',
	lengthMm: 27_432,
	doubleTaper: false
};
type Part<E> = E extends CareEvent ? Omit<E, 'id' | 'at'> : never;
const life = (...parts: Part<CareEvent>[]): CareEvent[] =>
	parts.map((part, i) => ({ id: `e${i}`, at: i, ...part }) as CareEvent);
const entry = (events: CareEvent[], kept = LINE): StrandEntry => {
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

describe('the filter', () => {
	it('shows what is kept, and the retired only when asked', () => {
		const usual = USUAL_FILTER;
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
