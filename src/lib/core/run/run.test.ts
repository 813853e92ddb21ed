import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solveFit } from '../fit/solve';
import type { KnownComponent } from '../fit/stack';
import { taperOf } from '../line/class';
import { level, totalLengthMm } from '../line/sections';
import { DISHED, spoolFrom, STRAIGHT, value } from '../testing';
import type { RunEvent } from './events';
import { runState } from './state';
import { layShown, traverseAt, turnsToRadius, windingAfter } from './winding';

type Without<E> = E extends unknown ? Omit<E, 'id' | 'at'> : never;
/** Events one after another, a second apart. */
const sequence = (...events: Without<RunEvent>[]): RunEvent[] =>
	events.map((event, i) => ({ ...event, id: `e${i}`, at: 1000 * i }) as RunEvent);
const turns = (n: number, part = 'backing') => ({ kind: 'turns', part, turns: n }) as const;
const counter = (seq: number, total: number, part = 'backing', session = 's1') =>
	({ kind: 'counter', part, session, seq, total }) as const;
const on = (events: readonly RunEvent[], part = 'backing'): number => runState(events).turns.get(part) ?? 0;

describe('a count', () => {
	it('adds up, part by part, and turns that come off count back', () => {
		const events = sequence(turns(10), turns(10), turns(-3), turns(40, 'line'));
		expect(on(events)).toBe(17);
		expect(on(events, 'line')).toBe(40);
	});
	it('of a counter is the difference of its totals: messages may be lost, come twice, or late', () => {
		const all = sequence(counter(1, 5), counter(2, 9), counter(3, 14), counter(4, 13), counter(5, 30));
		expect(on(all)).toBe(30);
		expect(on([all[0]!, all[4]!])).toBe(30);
		expect(on([all[4]!, all[2]!, all[2]!, all[0]!])).toBe(30);
	});
	it('of a counter goes to the part that was going on', () => {
		const events = sequence(counter(1, 900), counter(2, 950, 'line'), counter(3, 1030, 'line'));
		expect(on(events)).toBe(900);
		expect(on(events, 'line')).toBe(130);
	});
	it('of a counter switched on again begins anew', () => {
		expect(on(sequence(counter(1, 300), counter(2, 340), counter(1, 20, 'backing', 's2')))).toBe(360);
	});
	it('by hand and by counter may be mixed', () => {
		expect(on(sequence(counter(1, 100), turns(50), counter(2, 180)))).toBe(230);
	});
});

describe('undo', () => {
	it('takes any event back, and an undo of the undo brings it again', () => {
		const [a, b] = sequence(turns(10), turns(20)) as [RunEvent, RunEvent];
		const undo: RunEvent = { id: 'u', at: 5000, kind: 'undo', of: a.id };
		const redo: RunEvent = { id: 'r', at: 6000, kind: 'undo', of: 'u' };
		expect(on([a, b, undo])).toBe(20);
		expect(on([a, b, undo, redo])).toBe(30);
		expect(runState([a, b, undo]).undoable?.id).toBe(b.id);
	});
	it('twice of the same is once', () => {
		const [a] = sequence(turns(10)) as [RunEvent];
		const undo = (id: string): RunEvent => ({ id, at: 5000, kind: 'undo', of: a.id });
		expect(on([a, undo('u1'), undo('u2')])).toBe(0);
		expect(runState([a, undo('u1')]).undoable).toBeUndefined();
	});
	it('of nothing, of itself, or of each other ends all the same', () => {
		const [a] = sequence(turns(10)) as [RunEvent];
		const loop: RunEvent[] = [
			{ id: 'x', at: 1, kind: 'undo', of: 'y' },
			{ id: 'y', at: 2, kind: 'undo', of: 'x' },
			{ id: 'z', at: 3, kind: 'undo', of: 'z' },
			{ id: 'n', at: 4, kind: 'undo', of: 'nothing' }
		];
		expect(on([a, ...loop])).toBe(10);
	});
});

describe('steps, depths and remarks', () => {
	it('the last word on a step counts', () => {
		const step = (done: boolean) => ({ kind: 'step', step: 'hand', done }) as const;
		expect([...runState(sequence(step(true))).done]).toEqual(['hand']);
		expect([...runState(sequence(step(true), step(false))).done]).toEqual([]);
	});
	it('a depth is kept with the turns that were on then', () => {
		const events = sequence(turns(700), { kind: 'depth', part: 'backing', depthMm: 14 }, turns(100));
		expect(runState(events).depths.get('backing')).toEqual({ depthMm: 14, turns: 700 });
	});
	it('remarks stay in the order they were made', () => {
		const events = sequence({ kind: 'remark', text: 'first' }, { kind: 'remark', text: 'second' });
		expect(runState([...events].reverse()).remarks.map(({ text }) => text)).toEqual(['first', 'second']);
	});
});

const anyEvent: fc.Arbitrary<RunEvent> = fc
	.record({
		id: fc.integer({ min: 0, max: 30 }),
		at: fc.integer({ min: 0, max: 1e6 }),
		kind: fc.constantFrom('turns', 'counter', 'step', 'depth', 'remark', 'undo'),
		n: fc.integer({ min: -20, max: 400 }),
		part: fc.constantFrom('backing', 'line'),
		of: fc.integer({ min: 0, max: 30 })
	})
	.map(({ id, at, kind, n, part, of }): RunEvent => {
		const common = { id: `e${id}`, at };
		switch (kind) {
			case 'turns':
				return { ...common, kind, part, turns: n };
			case 'counter':
				return { ...common, kind, part, session: 's', seq: id, total: n };
			case 'step':
				return { ...common, kind, step: 'hand', done: n > 100 };
			case 'depth':
				return { ...common, kind, part, depthMm: n };
			case 'remark':
				return { ...common, kind, text: String(n) };
			default:
				return { ...common, kind: 'undo', of: `e${of}` };
		}
	});
/** One event for each id: two different events never share one. */
const anyRun = fc.uniqueArray(anyEvent, { selector: ({ id }) => id, maxLength: 30 });

describe('a run', () => {
	it('is the same whatever the order its events arrive in, and however often', () => {
		fc.assert(
			fc.property(
				anyRun.chain((events) =>
					fc.tuple(
						fc.constant(events),
						fc.shuffledSubarray([...events, ...events], {
							minLength: 2 * events.length,
							maxLength: 2 * events.length
						})
					)
				),
				([events, arrived]) => {
					expect(runState(arrived)).toEqual(runState(events));
				}
			),
			{ numRuns: 300 }
		);
	});
	it('undoing what can be undone, again and again, comes back to nothing', () => {
		fc.assert(
			fc.property(anyRun, (events) => {
				const all = [...events];
				for (let i = 0; i <= events.length; i++) {
					const { undoable } = runState(all);
					if (!undoable) break;
					all.push({ id: `undo${i}`, at: 2e6 + i, kind: 'undo', of: undoable.id });
				}
				const state = runState(all);
				expect(state.undoable).toBeUndefined();
				expect([...state.turns.values()].every((n) => n === 0)).toBe(true);
				expect(state.done.size).toBe(0);
			}),
			{ numRuns: 200 }
		);
	});
});

describe('the winding while it goes on', () => {
	const LINE: KnownComponent = {
		role: 'line',
		layEfficiency: 0.88,
		sections: taperOf({ taper: 'WF', number: 6, density: 'F' })
	};
	const BACKING: KnownComponent = { role: 'backing', layEfficiency: 0.9, sections: [level(120_000, 0.48)] };
	const CASES = [
		['backing, straight', STRAIGHT, BACKING, undefined],
		['backing, dished', DISHED, BACKING, undefined],
		['a tapered line over backing', STRAIGHT, LINE, BACKING]
	] as const;

	it.each(CASES)(
		'ends where the fit does, and is half way at half the turns: %s',
		(_, source, part, under) => {
			const spool = spoolFrom(source);
			const layers = value(solveFit(spool, under ? [under, part] : [part], 0)).layers;
			const layer = layers.at(-1)!;
			const after = (n: number) => windingAfter(spool, layer.innerRadiusMm, part, n);
			expect(after(0)).toMatchObject({ lengthMm: 0, share: 0 });
			expect(after(layer.turns).depthMm).toBeCloseTo(layer.depthMm, 6);
			expect(after(layer.turns).lengthMm).toBeCloseTo(layer.lengthMm, 3);
			expect(after(layer.turns).turnsLeft).toBeCloseTo(0, 6);
			expect(after(2 * layer.turns).lengthMm).toBeCloseTo(totalLengthMm(part.sections), 3);
			const half = after(layer.turns / 2);
			expect(half.share).toBeCloseTo(0.5, 9);
			expect(half.turnsLeft).toBeCloseTo(layer.turns / 2, 6);
			expect(half.retrieveMm).toBeCloseTo(2 * Math.PI * half.surface.radiusMm, 9);
		}
	);

	it('turn by turn the length is the sum of the circles, to 0.1 %', () => {
		const spool = spoolFrom(STRAIGHT);
		let lengthMm = 0;
		for (let n = 0; n < 600; n++) lengthMm += windingAfter(spool, 19, BACKING, n + 0.5).retrieveMm;
		expect(Math.abs(windingAfter(spool, 19, BACKING, 600).lengthMm / lengthMm - 1)).toBeLessThan(1e-3);
	});

	it('a hand that lays looser stands higher after the same turns', () => {
		const spool = spoolFrom(STRAIGHT);
		expect(windingAfter(spool, 19, BACKING, 500, 0.8).depthMm).toBeLessThan(
			windingAfter(spool, 19, BACKING, 500).depthMm
		);
	});

	it('a pause shows the lay, and the turns to the plan follow; a taper or a slip shows nothing', () => {
		const spool = spoolFrom(STRAIGHT);
		const loose = windingAfter(spool, 19, BACKING, 500, 0.82);
		const shown = layShown(spool, 19, BACKING, { turns: 500, depthMm: loose.depthMm });
		expect(shown).toBeCloseTo(0.82, 9);
		expect(turnsToRadius(spool, 19, loose.surface.radiusMm, 0.48, shown)).toBeCloseTo(500, 6);
		for (const reading of [
			undefined,
			{ turns: 0, depthMm: 12 },
			{ turns: 9, depthMm: 30 },
			{ turns: 9000, depthMm: 20 }
		])
			expect(layShown(spool, 19, BACKING, reading)).toBe(0.9);
		expect(layShown(spool, 19, LINE, { turns: 50, depthMm: 12 })).toBe(0.88);
	});

	it('the traverse goes over and back, a sweep being width over diameter', () => {
		const spool = spoolFrom(STRAIGHT);
		const at = (n: number) => traverseAt(spool, 19, BACKING, windingAfter(spool, 19, BACKING, n));
		const perSweep = 21 / 0.48;
		expect(at(0)).toMatchObject({ sweep: 0, toward: 'far' });
		expect(at(0).turnsPerSweep).toBeCloseTo(perSweep, 9);
		expect(at(perSweep / 2).across).toBeCloseTo(0.5, 9);
		expect(at(1.25 * perSweep)).toMatchObject({ sweep: 1, toward: 'near' });
		expect(at(1.25 * perSweep).across).toBeCloseTo(0.75, 9);
		expect(at(10.1 * perSweep).sweep).toBe(10);
	});
});
