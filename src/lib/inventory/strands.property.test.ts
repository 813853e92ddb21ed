import { careState, type CareEvent, type Whereabouts, dayOf } from '$lib/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	windingHistory,
	strandIdOf,
	readBrought,
	stillOn,
	type Brought,
	type WindingHistory
} from './strands';
import { newComponent } from '$lib/setup/presets';
import type { Winding } from './winding';
import type { ComponentForm, SetupForm } from '$lib/setup/form';
import { isStrand, swapped, type Goes, type SpoolNow } from './swap';
import { measured } from '$lib/setup/testing';

/**
 * A kit room at random: lines wound from the arbor, brought, swapped, moved from reel to reel, put back from coils. Beside what the
 * windings say, the test keeps a list of its own of what it put where, and both have to agree.
 */
const SPOOLS = ['tarn', 'beck', 'firth'] as const;
type SpoolId = (typeof SPOOLS)[number];

class KitRoom {
	readonly records: Winding[] = [];
	/** What the test itself put on each spool, from the arbor outward. */
	readonly on = new Map<SpoolId, string[]>();
	/** What it took off, and never put on again. */
	readonly coils = new Set<string>();
	readonly written = new Map<string, CareEvent[]>();
	/** What was never wound when it came. */
	readonly brought: Brought[] = [];
	#count = 0;

	#record(spoolId: SpoolId, setupId: string, form: SetupForm): void {
		this.#count += 1;
		this.records.push({
			id: `record-${this.#count}`,
			setupId,
			spoolId,
			woundOn: dayOf('2026-04-01'),
			writtenAt: 1000 * this.#count,
			typed: { woundOn: '2026-04-01', turns: '', depth: '', gap: '', note: '', who: '' },
			turns: null,
			depthMm: null,
			gapMm: null,
			form,
			backingMm: 90_000,
			backingMeasured: false,
			run: null
		});
		const now = form.fill.stack.map((component) => strandIdOf(setupId, component));
		for (const before of this.on.get(spoolId) ?? []) if (!now.includes(before)) this.coils.add(before);
		for (const [other, things] of this.on)
			if (other !== spoolId)
				this.on.set(
					other,
					things.slice(
						0,
						firstOf(things, (thing) => now.includes(thing))
					)
				);
		for (const thing of now) this.coils.delete(thing);
		this.on.set(spoolId, now);
	}

	/** Backing and a line, both new. */
	wind(spoolId: SpoolId, number: number): void {
		const form = measured('100 mm', '40 mm', '24 mm');
		form.fill.stack[1] = line(number);
		this.#record(spoolId, `setup-${this.#count}`, form);
	}

	/** A line that was there already, on a coil. */
	bring(number: number): void {
		this.#count += 1;
		const id = `brought-${this.#count}`;
		const [day, at] = [dayOf('2026-04-01'), 1000 * this.#count];
		this.brought.push({ id, component: line(number) });
		this.written.set(id, [
			{ id: `${id}:came`, day, at, kind: 'came' },
			{ id: `${id}:lies`, day, at: at + 1, kind: 'moved', to: { on: 'coil', label: 'in the drawer' } }
		]);
		this.coils.add(id);
	}

	told = (): WindingHistory => windingHistory(this.records, this.written, this.brought);

	now(spoolId: SpoolId): SpoolNow | undefined {
		const record = this.records.findLast((one) => one.spoolId === spoolId);
		const places = this.places();
		const spoolOf = (id: string): string | null => {
			const at = places.get(id);
			return at?.on === 'spool' ? at.spoolId : null;
		};
		return record && { record, still: stillOn(record, spoolOf), spool: record.form.spool };
	}

	/** The line on a spool gives way to another: new, from a coil, or the outermost of another spool. */
	swap(spoolId: SpoolId, from: 'new' | 'coil' | SpoolId, number: number): void {
		const now = this.now(spoolId);
		const goes = this.#taken(from, number);
		if (!now || now.still < 1 || !goes || from === spoolId) return;
		const to = swapped(now, 1, [goes], 'yd-mm');
		if (to.ok) this.#record(spoolId, `setup-${this.#count}`, to.value.form);
	}

	#taken(from: 'new' | 'coil' | SpoolId, number: number): Goes | undefined {
		if (from === 'new') return line(number);
		const { made } = this.told();
		if (from === 'coil') {
			const id = [...this.coils].find((one) => made.get(one)?.role === 'line');
			return id === undefined ? undefined : { ...made.get(id)!, kept: id };
		}
		const there = this.now(from);
		const top = there?.record.form.fill.stack.slice(0, there.still).filter(isStrand).at(-1);
		return there && top?.role === 'line'
			? { ...top, kept: strandIdOf(there.record.setupId, top) }
			: undefined;
	}

	/** The outermost strand comes off by hand, and goes on a coil. */
	takeOff(spoolId: SpoolId): void {
		const things = this.on.get(spoolId) ?? [];
		const top = things.at(-1);
		if (top === undefined || things.length < 2) return;
		this.on.set(spoolId, things.slice(0, -1));
		this.coils.add(top);
		const events = this.written.get(top) ?? [];
		const at = 1000 * this.#count + 500 + events.length;
		const to = { on: 'coil', label: 'by hand' } as const;
		this.written.set(top, [
			...events,
			{ id: `off-${at}-${top}`, day: dayOf('2026-04-01'), at, kind: 'moved', to }
		]);
	}

	/** Where the windings, and what was written beside them, say that everything is. */
	places(): Map<string, Whereabouts | undefined> {
		const { kept, events } = this.told();
		return new Map(
			kept.map((one) => {
				const all = [...(events.get(one.id) ?? []), ...(this.written.get(one.id) ?? [])];
				return [one.id, careState(one, all).whereabouts];
			})
		);
	}
}

const firstOf = <T>(list: readonly T[], holds: (one: T) => boolean): number => {
	const at = list.findIndex(holds);
	return at < 0 ? list.length : at;
};
const line = (number: number): ComponentForm =>
	newComponent('line', 'line', { way: 'class', class: { taper: 'WF', number, density: 'F' } });

const spool = fc.constantFrom(...SPOOLS);
const number = fc.integer({ min: 3, max: 6 });
const deed = fc.oneof(
	fc.record({ what: fc.constant('bring' as const), number }),
	fc.record({ what: fc.constant('off' as const), spool }),
	fc.record({ what: fc.constant('wind' as const), spool, number }),
	fc.record({
		what: fc.constant('swap' as const),
		spool,
		number,
		from: fc.constantFrom('new' as const, 'coil' as const, ...SPOOLS)
	})
);
type Deed = typeof deed extends fc.Arbitrary<infer D> ? D : never;

function kitRoomAfter(deeds: readonly Deed[]): KitRoom {
	const room = new KitRoom();
	for (const one of deeds)
		if (one.what === 'wind') room.wind(one.spool, one.number);
		else if (one.what === 'bring') room.bring(one.number);
		else if (one.what === 'off') room.takeOff(one.spool);
		else room.swap(one.spool, one.from, one.number);
	return room;
}

describe('what is where, whatever was done', () => {
	it('every strand is in one place, and it is where it was put', () => {
		fc.assert(
			fc.property(fc.array(deed, { minLength: 1, maxLength: 14 }), (deeds) => {
				const room = kitRoomAfter(deeds);
				const places = room.places();
				for (const [id, at] of places) {
					const on = SPOOLS.filter((one) => room.on.get(one)?.includes(id));
					expect(on.length, `${id} is on ${on.join()}`).toBeLessThanOrEqual(1);
					expect(at, id).toMatchObject(on[0] ? { on: 'spool', spoolId: on[0] } : { on: 'coil' });
					expect(room.coils.has(id)).toBe(on.length === 0);
				}
			}),
			{ numRuns: 150 }
		);
	});
	it('what a spool still holds is what was put on it, from the arbor outward', () => {
		fc.assert(
			fc.property(fc.array(deed, { minLength: 1, maxLength: 14 }), (deeds) => {
				const room = kitRoomAfter(deeds);
				for (const one of SPOOLS) {
					const now = room.now(one);
					const there = now
						? now.record.form.fill.stack.slice(0, now.still).map((c) => strandIdOf(now.record.setupId, c))
						: [];
					expect(there).toEqual(room.on.get(one) ?? []);
				}
			}),
			{ numRuns: 150 }
		);
	});
	it('a strand comes once, is wound as often as it was, and its length stays its own', () => {
		fc.assert(
			fc.property(fc.array(deed, { minLength: 1, maxLength: 14 }), (deeds) => {
				const room = kitRoomAfter(deeds);
				const { kept, events } = room.told();
				expect(new Set(kept.map(({ id }) => id)).size).toBe(kept.length);
				for (const { id, lengthMm } of kept) {
					const own = [
						...(room.written.get(id) ?? []).filter(() => id.startsWith('brought')),
						...(events.get(id) ?? [])
					];
					expect(own.filter(({ kind }) => kind === 'came')).toHaveLength(1);
					expect(own[0]!.kind).toBe('came');
					expect(new Set(own.map((event) => event.id)).size).toBe(own.length);
					expect(lengthMm).toBeGreaterThan(0);
				}
			}),
			{ numRuns: 60 }
		);
	});
});

describe('what was brought', () => {
	const [one] = [{ id: 'brought-1', component: line(5) }];
	const came: CareEvent = { id: 'brought-1:came', day: dayOf('2026-04-01'), at: 1, kind: 'came' };
	const there = (...events: CareEvent[]): readonly string[] =>
		windingHistory([], new Map([[one.id, events]]), [one]).kept.map(({ id }) => id);

	it('is what its class and length say', () => {
		expect(readBrought(one)).toMatchObject({
			ok: true,
			value: { id: 'brought-1', kind: 'line', label: 'Weight-forward 5, floating', doubleTaper: false }
		});
		const named = readBrought({ id: 'x', component: { ...line(5), length: '20 m', note: 'slow one' } });
		expect(named).toMatchObject({ ok: true, value: { label: 'slow one', lengthMm: 20_000 } });
		const turned = readBrought({
			id: 'x',
			component: newComponent('l', 'line', { way: 'class', class: { taper: 'DT', number: 5, density: 'F' } })
		});
		expect(turned).toMatchObject({ ok: true, value: { doubleTaper: true } });
	});
	it('makes no sense as what is not looked after, without a length, or with a bad one', () => {
		expect(readBrought({ id: 'x', component: newComponent('leader', 'leader') }).ok).toBe(false);
		expect(readBrought({ id: 'x', component: { ...newComponent('t', 'tip'), length: '' } })).toMatchObject({
			ok: false,
			issues: [{ path: ['length'] }]
		});
		expect(readBrought({ id: 'x', component: { ...line(5), length: 'long' } })).toMatchObject({
			ok: false,
			issues: [{ code: 'unreadable_quantity', path: ['length'] }]
		});
	});
	it('is there from when it came, until that is undone, and again when that is', () => {
		const back: CareEvent = { id: 'back-1', day: dayOf('2026-04-02'), at: 2, kind: 'undone', of: came.id };
		const again: CareEvent = { id: 'again-1', day: dayOf('2026-04-03'), at: 3, kind: 'undone', of: back.id };
		expect(there()).toEqual([]);
		expect(there(came)).toEqual(['brought-1']);
		expect(there(came, back)).toEqual([]);
		expect(there(came, back, again)).toEqual(['brought-1']);
	});
});
