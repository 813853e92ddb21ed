import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { RunEvent } from './events';
import { runState, undoOf } from './state';
import { runSeconds, stepTimes, timedSteps } from './timing';

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
	it('of a counter first linked at a base leaves out what it had counted before', () => {
		const base = { ...counter(9, 400), base: true };
		expect(on(sequence(base, counter(12, 430)))).toBe(30);
		// A second window that links later, or at the very same reading, takes nothing away.
		expect(on(sequence(base, counter(12, 430), { ...counter(12, 430), base: true }, counter(20, 500)))).toBe(
			100
		);
		expect(runState(sequence(base)).sessions.has('s1')).toBe(true);
	});
	it('of a counter stays undone once it is, whatever it reads afterwards', () => {
		const events = sequence(counter(1, 100), counter(2, 140), { kind: 'undo', of: 'e1' }, counter(3, 150));
		expect(on(events)).toBe(110);
	});
	it('by hand and by counter may be mixed', () => {
		expect(on(sequence(counter(1, 100), turns(50), counter(2, 180)))).toBe(230);
	});
});

describe('undo', () => {
	it('undoes any event, and an undo of the undo restores it', () => {
		const [a, b] = sequence(turns(10), turns(20)) as [RunEvent, RunEvent];
		const undo: RunEvent = { id: 'u', at: 5000, kind: 'undo', of: a.id };
		const redo: RunEvent = { id: 'r', at: 6000, kind: 'undo', of: 'u' };
		expect(on([a, b, undo])).toBe(20);
		expect(on([a, b, undo, redo])).toBe(30);
		expect(runState([a, b, undo]).undoable?.first.id).toBe(b.id);
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
	it('a remedy opens steps again and takes parts off; what follows counts anew', () => {
		const remedy = {
			kind: 'remedy',
			remedy: 'wrong-hand',
			step: 'wind:backing',
			back: 'hand',
			reopens: ['hand', 'cage'],
			off: ['backing']
		} as const;
		const step = (id: string) => ({ kind: 'step', step: id, done: true }) as const;
		const before = [
			step('tools'),
			step('hand'),
			step('cage'),
			turns(300),
			{ kind: 'depth', part: 'backing', depthMm: 18 }
		] as const;
		const state = runState(sequence(...before, remedy, turns(20), step('hand')));
		expect(state.turns.get('backing')).toBe(20);
		expect([...state.done].sort()).toEqual(['hand', 'tools']);
		expect(state.depths.size).toBe(0);
		expect(state.remedies).toHaveLength(1);
		const undone = runState(sequence(...before, remedy, { kind: 'undo', of: 'e5' }));
		expect(undone.turns.get('backing')).toBe(300);
		expect(undone.done.has('cage')).toBe(true);
	});
	it('a counter that ran on over a remedy counts from there', () => {
		const remedy = {
			kind: 'remedy',
			remedy: 'slips',
			step: 'x',
			back: 'arbor',
			reopens: [],
			off: ['backing']
		} as const;
		expect(on(sequence(counter(1, 300), remedy, counter(2, 340)))).toBe(40);
	});
	it('tools are there or not', () => {
		const tool = (here: boolean) => ({ kind: 'tool', tool: 'rule', here }) as const;
		expect([...runState(sequence(tool(true))).tools]).toEqual(['rule']);
		expect([...runState(sequence(tool(true), tool(false))).tools]).toEqual([]);
	});
	it('photos and remarks belong to the step they were made on', () => {
		const events = sequence(
			{ kind: 'photo', photo: 'p', step: 'gap' },
			{ kind: 'remark', text: 'level', step: 'gap' }
		);
		expect(runState(events).photos[0]).toMatchObject({ photo: 'p', step: 'gap' });
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
		kind: fc.constantFrom('turns', 'counter', 'step', 'tool', 'depth', 'remedy', 'remark', 'photo', 'undo'),
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
			case 'photo':
				return { ...common, kind, photo: `p${n}`, step: 'hand' };
			case 'tool':
				return { ...common, kind, tool: 'rule', here: n > 100 };
			case 'remedy':
				return {
					...common,
					kind,
					remedy: 'wrong-hand',
					step: 'gap',
					back: 'hand',
					reopens: ['hand'],
					off: [part]
				};
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
					undoOf(undoable).forEach((undo, k) => all.push({ ...undo, id: `undo${i}-${k}`, at: 2e6 + i }));
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

describe('what was noted', () => {
	const at = (ms: number, event: Without<RunEvent>): RunEvent =>
		({ ...event, id: `m${ms}`, at: ms }) as RunEvent;
	it('turns of a counter that come without a pause are one entry, undone together', () => {
		const events = [
			at(0, turns(10)),
			...[1, 2, 3].map((k) => at(1000 * k, counter(k, 7 * k))),
			at(9000, counter(4, 30))
		];
		const { log, undoable } = runState(events);
		expect(log.map((entry) => entry.turns)).toEqual([10, 21, 9]);
		const undos = undoOf(log[1]!).map((undo, i) => at(20_000 + i, undo));
		expect(on([...events, ...undos])).toBe(19);
		expect(undoable!.turns).toBe(9);
	});
	it('each tap is an entry of its own; a pace is one', () => {
		const pace = (ms: number) => at(ms, { ...turns(2), by: 'pace' });
		expect(runState([at(0, turns(10)), at(100, turns(10))]).log).toHaveLength(2);
		expect(runState([pace(0), pace(2000), pace(4000)]).log).toMatchObject([{ turns: 6 }]);
	});
});

describe('times of a run', () => {
	const done = (step: string, at: number, plannedSeconds?: number): RunEvent => ({
		id: step + at,
		at,
		kind: 'step',
		step,
		done: true,
		plannedSeconds
	});
	it('each step takes from the one done before it; done again, the last time counts', () => {
		const events = [
			{ id: 't', at: 0, kind: 'tool', tool: 'rule', here: true } as const,
			done('hand', 60_000, 90),
			done('wind:backing', 660_000, 500),
			done('hand', 720_000, 90)
		];
		expect(stepTimes(events)).toEqual([
			{ step: 'wind:backing', plannedSeconds: 500, tookSeconds: 600 },
			{ step: 'hand', plannedSeconds: 90, tookSeconds: 60 }
		]);
		expect(timedSteps(events)[0]).toEqual({ kind: 'wind', plannedSeconds: 500, tookSeconds: 600 });
		expect(runSeconds(events)).toBe(720);
		expect(runSeconds([])).toBe(0);
	});
	it('a job set aside over night took only the work', () => {
		const night = 12 * 3600_000;
		const events = [
			done('hand', 0, 90),
			done('cage', 120_000, 60),
			done('mount', night, 90),
			done('supply', night + 60_000, 60)
		];
		expect(runSeconds(events)).toBe(180);
		expect(stepTimes(events).map(({ tookSeconds }) => tookSeconds)).toEqual([0, 120, 0, 60]);
	});
});
