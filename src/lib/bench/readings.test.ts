import { firstId, runState, type RunEvent, type RunState } from '$lib/core';
import { measured, worked } from '$lib/setup/testing';
import { describe, expect, it } from 'vitest';
import { jobOf } from './job';
import { readingsOf, stopNow } from './readings';
import { firstFillOf } from './reverse';

const form = measured();
const setup = worked(form);
const [backing, line] = setup.parts.map(({ id }) => id) as [string, string];
const planned = setup.fit.solved!;

type Without<E> = E extends unknown ? Omit<E, 'id' | 'at'> : never;
const run = (...events: Without<RunEvent>[]): RunState =>
	runState(events.map((event, i) => ({ ...event, id: `e${i}`, at: 1000 * i }) as RunEvent));
const turns = (n: number, part = backing) => ({ kind: 'turns', part, turns: n }) as const;
const depth = (depthMm: number, part = backing) => ({ kind: 'depth', part, depthMm }) as const;
const gap = (depthMm: number) => ({ kind: 'depth', part: line, depthMm, finished: true }) as const;
const readings = (state: RunState, going = -1) =>
	readingsOf(state, setup, going).map(({ reading }) => reading);

describe('what was read in a run', () => {
	it('each depth with the turns that were on then, and what is on now at the end', () => {
		const state = run(turns(300), depth(19), turns(100), depth(17.8), turns(50));
		expect(readings(state, 0)).toMatchObject([
			{ kind: 'depth', component: 0, depthMm: 19, turns: 300 },
			{ kind: 'depth', component: 0, depthMm: 17.8, turns: 400 },
			{ kind: 'amount', component: 0, turns: 450 }
		]);
		expect(readingsOf(state, setup, 0).map(({ id }) => id)).toEqual(['e1', 'e3', undefined]);
	});
	it('a depth that nobody counted up to says how deep it is, and no more', () => {
		expect(readings(run(depth(15)))[0]).not.toHaveProperty('turns');
	});
	it('one that is undone is gone, and parts that are not of this set-up are nothing to it', () => {
		const state = run(depth(15), { kind: 'undo', of: 'e0' }, depth(12, 'other'));
		expect(readings(state)).toEqual([]);
	});
	it('the gap stands on the backing as it was counted, or about as planned', () => {
		const counted = run(turns(planned.turns), turns(100, line), gap(3));
		expect(readings(counted)).toMatchObject([
			{ kind: 'amount', component: 0, turns: planned.turns },
			{ kind: 'gap', gapMm: 3 }
		]);
		const [uncounted] = readings(run(turns(20), gap(3)));
		expect(uncounted).toMatchObject({ kind: 'amount', lengthMm: setup.fit.layers[0]!.lengthMm });
		expect(uncounted).not.toHaveProperty('turns');
		// In the middle of the line it is a depth, with the line's own turns.
		expect(readings(run(turns(900), turns(40, line), depth(9, line)))).toMatchObject([
			{ kind: 'amount', component: 0 },
			{ kind: 'depth', component: 1, turns: 40 }
		]);
	});
	it('a loss of count holds from when it was said, until the count is set', () => {
		const lost = run(turns(200), { kind: 'lost-count', part: backing }, turns(50), depth(14), turns(10));
		expect(readings(lost, 0)).toMatchObject([
			{ kind: 'depth', turns: 250, lost: { id: 'e1' } },
			{ kind: 'amount', turns: 260, lost: { id: 'e1' } }
		]);
		const set = run(turns(200), { kind: 'lost-count', part: backing }, { ...turns(430), by: 'set' });
		expect(readings(set, 0)[0]).toMatchObject({ turns: 630 });
		expect(readings(set, 0)[0]).not.toHaveProperty('lost');
	});
	it('a weight says the count about, until it is set by hand', () => {
		const weighed = { ...turns(340), by: 'weight', sigmaTurns: 40 } as const;
		expect(readings(run(turns(200), weighed, turns(10)), 0)).toMatchObject([
			{ turns: 550, lost: { id: 'e1', sigmaTurns: 40 } }
		]);
		expect(readings(run(weighed, { ...turns(5), by: 'set' }), 0)[0]).not.toHaveProperty('lost');
	});
	it('said of a depth, it was lost before it; said of a gap, it is the count under it', () => {
		const said = run(turns(200), depth(14), { kind: 'taken-as', of: 'e1', as: 'lost-count' }, turns(10));
		expect(readings(said, 0)).toMatchObject([
			{ takenAs: 'lost-count', lost: { id: 'e1' } },
			{ turns: 210, lost: { id: 'e1' } }
		]);
		const ofGap = run(turns(900), gap(1), { kind: 'taken-as', of: 'e1', as: 'lost-count' });
		expect(readings(ofGap)).toMatchObject([
			{ kind: 'amount', lost: { id: 'e1' } },
			{ takenAs: 'lost-count' }
		]);
		// What is said of nothing that was read changes nothing.
		expect(readings(run(depth(15), { kind: 'taken-as', of: 'no', as: 'confirmed' }))).toHaveLength(1);
	});
	it('when the line comes off its gap still tells, when the backing does nothing of it does', () => {
		const off = (...parts: string[]) =>
			({
				kind: 'remedy',
				remedy: 'too-full',
				step: 'gap',
				back: 'wind:backing',
				reopens: [],
				off: parts
			}) as const;
		const wound = [turns(planned.turns), turns(100, line), gap(2.6)] as const;
		expect(readings(run(...wound, off(line), turns(-60)), 0)).toMatchObject([
			{ kind: 'amount', turns: planned.turns },
			{ kind: 'gap' },
			{ kind: 'amount', turns: planned.turns - 60 }
		]);
		expect(readings(run(...wound, off(line, backing)), 0)).toMatchObject([{ kind: 'amount', turns: 0 }]);
	});
});

describe('the stop after what was read', () => {
	it('is as planned while nothing was, or where nothing is open', () => {
		expect(stopNow(run(turns(300)), setup)).toBeUndefined();
	});
	it('too full: the step itself says the corrected depth, length and turns', () => {
		const state = run(turns(planned.turns), gap(1.8));
		const now = stopNow(state, setup)!;
		expect(now.stopDepthMm).toBeGreaterThan(planned.stopDepthMm);
		expect(now.turns).toBeLessThan(planned.turns);
		const { plan, parts } = jobOf(form, setup, {}, now);
		expect(plan).toMatchObject({ stopDepthMm: now.stopDepthMm, turns: now.turns, lengthMm: now.lengthMm });
		expect(parts.length).toBe(2);
	});
});

describe('a reverse fill', () => {
	const [firstBacking, firstLine] = [firstId(backing), firstId(line)];
	const first = firstFillOf(form, setup, { kind: 'reverse', way: 'spools' }, 'yd-mm')!;
	it('is a set-up of its own, back to front up to the same gap, with the same strands in it', () => {
		expect(first.workout.parts.map(({ id }) => id)).toEqual([firstLine, firstBacking]);
		expect(first.workout.fit.gapMm).toBeCloseTo(setup.fit.gapMm, 6);
		expect(first.workout.fit.layers[1]!.lengthMm).toBeCloseTo(planned.lengthMm, -2);
		// Wound further out, the same backing takes fewer turns.
		expect(first.workout.fit.layers[1]!.turns).toBeLessThan(planned.turns);
		expect(firstFillOf(form, setup, { kind: 'wind' }, 'yd-mm')).toBeUndefined();
	});
	it('says the depth with the line alone, then the turns of backing over it; what went on under another name is not on', () => {
		const state = run(
			turns(120, firstLine),
			depth(14.2, firstLine),
			turns(640, firstBacking),
			depth(4, firstBacking)
		);
		expect(readings(state, 0)).toMatchObject([
			{ kind: 'line-alone', depthMm: 14.2 },
			{ kind: 'over-line', depthMm: 4, turns: 640 },
			{ kind: 'amount', component: 0, turns: 0 }
		]);
		// Nobody counted: the gap is right all the same, but it says nothing of how much backing that was.
		expect(readings(run(turns(120, firstLine), depth(4, firstBacking)))).toEqual([]);
	});
	it('what it finds moves the stop: fewer turns over the line than planned, less backing, a deeper stop', () => {
		const whole = first.workout.fit.layers[1]!.turns;
		const found = (share: number) =>
			stopNow(run(turns(120, firstLine), turns(share * whole, firstBacking), depth(4, firstBacking)), setup)!;
		expect(found(1).lengthMm / planned.lengthMm).toBeCloseTo(1, 1);
		expect(found(0.9).lengthMm).toBeLessThan(found(1).lengthMm);
		expect(found(0.9).stopDepthMm).toBeGreaterThan(found(1).stopDepthMm);
		expect(found(0.9).lengthMm / found(1).lengthMm).toBeCloseTo(0.9, 1);
	});
});
