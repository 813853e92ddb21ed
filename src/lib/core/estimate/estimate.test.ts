import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ratedSource } from '../calibrate/source';
import { taperOf } from '../line/class';
import { level } from '../line/sections';
import { DISHED, fitOf, STRAIGHT, value } from '../testing';
import { firstOrder } from '../uncertainty/first-order';
import { DEFAULT_SPREADS } from '../uncertainty/spreads';
import { believe } from './belief';
import { decide, estimate, type Estimate } from './estimate';
import { inverseOf } from '../numeric/cholesky';
import type { Range } from '../uncertainty/propagate';
import type { Reading } from './reading';
import { BACKING, LINE, problemOn } from './testing';

const PROBLEM = problemOn();
const PLAN = fitOf(PROBLEM).solved!;
const ask = (readings: readonly Reading[], problem = PROBLEM): Estimate => value(estimate(problem, readings));
const pause = (turns: number, depthMm: number, more: Partial<Reading> = {}): Reading =>
	({ kind: 'depth', component: 0, turns, depthMm, ...more }) as Reading;
const span = ({ low, high }: Range): number => high - low;
/** Depth that the plan has after so many turns, on the straight spool of the worked example. */
const depthAfter = (turns: number): number => 42 - 19 - (turns * 0.48 ** 2) / (0.9 * 21);

describe('without a reading', () => {
	const RATED = ratedSource({
		ratings: [{ line: LINE.sections, backingDiameterMm: 0.48, backingLengthMm: 90_000 }],
		makersAllowance: 0.1
	});
	const SPEY = problemOn(DISHED, [
		{ role: 'bed', layEfficiency: 0.9, sections: [level(2000, 0.45)] },
		BACKING,
		{ role: 'running-line', layEfficiency: 0.88, sections: [level(15_000, 0.8)] },
		{ role: 'head', layEfficiency: 0.88, sections: [level(8000, 1.6)] }
	]);
	it.each([
		['measured', PROBLEM],
		['by profile, four strands', SPEY],
		['rated', problemOn(RATED)]
	])('it is the plan, to the digit, with the ranges of the first order: %s', (_, problem) => {
		const { solved } = fitOf(problem);
		const { todo, gap, going } = ask([], problem);
		const plan = firstOrder(problem, fitOf(problem)).ranges;
		expect(going).toBeUndefined();
		for (const key of ['turns', 'lengthMm', 'stopDepthMm'] as const) {
			expect(todo[key].value).toBeCloseTo(solved![key], 9);
			expect(span(todo[key].range) / span(plan[key])).toBeCloseTo(1, 1);
		}
		expect(gap.byDepth.value).toBeCloseTo(4, 9);
		expect(gap.byLength.value).toBeCloseTo(4, 9);
		// The backing that gives way under the line is not in the first order.
		expect(Math.abs(span(gap.byDepth.range) / span(plan.gapMm) - 1)).toBeLessThan(0.05);
		expect(Math.abs(span(gap.byLength.range) / span(plan.gapByLengthMm) - 1)).toBeLessThan(0.05);
	});
});

const anyReading = fc.oneof(
	fc
		.record({
			turns: fc.integer({ min: 50, max: 900 }),
			off: fc.double({ min: -0.4, max: 0.4, noNaN: true })
		})
		.map(({ turns, off }) => pause(turns, depthAfter(turns) + off)),
	fc
		.double({ min: 83.4, max: 84.6, noNaN: true })
		.map((valueMm): Reading => ({ kind: 'measure', measure: 'rim', valueMm })),
	fc
		.double({ min: 20.5, max: 21.5, noNaN: true })
		.map((valueMm): Reading => ({ kind: 'measure', measure: 'width', valueMm })),
	fc
		.double({ min: 0.46, max: 0.5, noNaN: true })
		.map((diameterMm): Reading => ({ kind: 'diameter', component: 0, diameterMm }))
);

describe('readings', () => {
	it('a reading of no weight changes nothing', () => {
		const told = ask([pause(500, depthAfter(500) + 0.5, { sigmaMm: 1e9 })]);
		expect(told.going!.layEfficiency.value).toBeCloseTo(0.9, 6);
		expect(told.todo.stopDepthMm.value).toBeCloseTo(PLAN.stopDepthMm, 6);
		expect(told.todo.turns.value).toBeCloseTo(PLAN.turns - 500, 4);
	});

	it('their order does not matter', () => {
		fc.assert(
			fc.property(
				fc
					.array(anyReading, { minLength: 2, maxLength: 5 })
					.chain((readings) =>
						fc.tuple(
							fc.constant(readings),
							fc.shuffledSubarray(readings, { minLength: readings.length, maxLength: readings.length })
						)
					),
				([readings, other]) => {
					// What is on now is what was told last: the same count ends both.
					const last: Reading = { kind: 'amount', component: 0, turns: 900 };
					const [one, two] = [ask([...readings, last]), ask([...other, last])];
					fc.pre([...one.readings, ...two.readings].every(({ surprise }) => !surprise));
					expect(one.todo.turns.value).toBeCloseTo(two.todo.turns.value, 1);
					expect(one.todo.stopDepthMm.value).toBeCloseTo(two.todo.stopDepthMm.value, 4);
				}
			),
			{ numRuns: 40 }
		);
	});

	it('two places are one reading of habit² + place²/2', () => {
		const off = depthAfter(500) + 0.4;
		const twice = ask([pause(500, off, { places: 2 })]);
		const place = DEFAULT_SPREADS.depthMm * Math.sqrt(8 / 9);
		const once = ask([pause(500, off, { sigmaMm: place / Math.SQRT2 })]);
		expect(twice.todo.turns.value).toBeCloseTo(once.todo.turns.value, 9);
		const both = ask([pause(500, off), pause(500, off)]);
		expect(both.todo.turns.value).toBeCloseTo(twice.todo.turns.value, 3);
	});

	it('information only grows: at the same linearisation the precision is at least what it was', () => {
		fc.assert(
			fc.property(fc.array(anyReading, { minLength: 1, maxLength: 4 }), (readings) => {
				const { posterior } = value(believe(PROBLEM, readings, DEFAULT_SPREADS));
				const precision = inverseOf(posterior.covariance);
				// The prior's is one for each deviation: what is more has no negative part.
				const random = (i: number, k: number): number => Math.sin(12.9898 * (i + 1) * (k + 1));
				for (let k = 0; k < 20; k++) {
					const v = precision.map((_, i) => random(i, k));
					const along = v.reduce(
						(sum, vi, i) => sum + v.reduce((s, vj, j) => s + vi * precision[i]![j]! * vj, 0),
						0
					);
					expect(along).toBeGreaterThanOrEqual(v.reduce((sum, vi) => sum + vi * vi, 0) * (1 - 1e-6));
				}
			}),
			{ numRuns: 40 }
		);
	});

	it('an early pause moves the plan a little, a late one a lot', () => {
		const moved = (share: number): number => {
			const turns = share * PLAN.turns;
			// A tenth thicker than planned, by turns.
			return ask([pause(turns, 23 - 1.1 * (23 - depthAfter(turns)))]).going!.layEfficiency.value / 0.9 - 1;
		};
		expect(moved(0.1)).toBeLessThan(0);
		expect(moved(0.9)).toBeLessThan(2 * moved(0.1));
	});

	it('whoever lays the line looser than planned is told by a pause in the line', () => {
		const under: Reading = { kind: 'depth', component: 0, turns: PLAN.turns, depthMm: PLAN.stopDepthMm };
		const at = (depthMm: number): Reading => ({ kind: 'depth', component: 1, turns: 60, depthMm });
		const expected = ask([under, at(9)]).readings[1]!.expected!.value;
		const { going, gap } = ask([under, at(expected - 0.6)]);
		expect(going!.component).toBe(1);
		expect(going!.layEfficiency.value).toBeLessThan(0.88);
		expect(going!.turnsLeft.value).toBeGreaterThan(40);
		expect(gap.asItIs.value).toBeLessThan(4);
	});

	it('weighed length and counted turns say how thick and tight it is', () => {
		const turns = 600;
		const lengthMm = (Math.PI * turns * (38 + 2 * (42 - depthAfter(turns)))) / 2;
		const loose: Reading = { kind: 'amount', component: 0, turns, lengthMm: 1.05 * lengthMm };
		expect(ask([loose]).layEfficiency.value).toBeLessThan(0.85);
		const asPlanned: Reading = { ...loose, lengthMm };
		expect(ask([asPlanned]).layEfficiency.value).toBeCloseTo(0.9, 3);
	});

	it('each says how much it moved the answers, which is what leaving it out would do', () => {
		const readings = [pause(400, depthAfter(400) + 0.4), pause(700, depthAfter(700) - 0.3)];
		const last: Reading = { kind: 'amount', component: 0, turns: 700 };
		const all = ask([...readings, last]);
		const less = ask([readings[1]!, last]);
		expect(all.readings[0]!.moved.turns).toBeCloseTo(all.todo.turns.value - less.todo.turns.value, 0);
		expect(all.readings[2]).toMatchObject({ z: undefined, surprise: false, moved: { turns: -0 } });
	});

	it('the next measurement is one that helps, the best per minute first', () => {
		const { next } = ask([pause(700, depthAfter(700))]);
		expect(next.length).toBeGreaterThan(0);
		for (const { gapSigmaMm, thenGapSigmaMm } of next) expect(thenGapSigmaMm).toBeLessThan(gapSigmaMm);
		const worth = next.map((n) => (n.gapSigmaMm ** 2 - n.thenGapSigmaMm ** 2) / n.minutes);
		expect(worth).toEqual([...worth].sort((a, b) => b - a));
	});

	it('refuses a component that is not there, and a stack with nothing to wind to the gap', () => {
		expect(estimate(PROBLEM, [{ kind: 'amount', component: 7, turns: 1 }])).toMatchObject({
			ok: false,
			issues: [{ code: 'no_such_component', path: ['readings', 0, 'component'] }]
		});
		expect(estimate(problemOn(STRAIGHT, [LINE]), [])).toMatchObject({
			ok: false,
			issues: [{ code: 'nothing_to_correct' }]
		});
		expect(decide(problemOn(STRAIGHT, [LINE]), [], DEFAULT_SPREADS).ok).toBe(false);
	});
});

describe('a surprise', () => {
	it.each([
		[478, 21.9],
		[200, 14.6],
		[200, 25],
		[200, 17]
	])('%d turns at %d mm are asked about, and left out until somebody says why', (turns, depthMm) => {
		const told = ask([pause(turns, depthMm)]);
		const [reading] = told.readings;
		expect(reading!.surprise).toBe(true);
		expect(Math.abs(reading!.z!)).toBeGreaterThan(3);
		expect(told.todo.turns.value).toBeCloseTo(PLAN.turns - turns, 3);
		const shares = reading!.explanations.map(({ plausibility }) => plausibility);
		expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
		expect(shares).toEqual([...shares].sort((a, b) => b - a));
	});

	it('whoever lost count is taken from the depth on', () => {
		const told = ask([pause(200, 14.6, { takenAs: 'lost-count', lost: { id: 'a' } } as Partial<Reading>)]);
		expect(told.readings[0]!.surprise).toBe(false);
		// As many turns as the depth shows at the usual tightness, so the rest is what is left from there.
		const on = ((23 - 14.6) * 0.9 * 21) / 0.48 ** 2;
		expect(told.todo.turns.value / (PLAN.turns - on)).toBeCloseTo(1, 1);
		// And the count goes on from there, with what was lost in common.
		const later = ask([
			pause(200, 14.6, { lost: { id: 'a' } } as Partial<Reading>),
			{ kind: 'amount', component: 0, turns: 300, lost: { id: 'a' } }
		]);
		expect(later.todo.turns.value).toBeCloseTo(told.todo.turns.value - 100, -1);
	});

	it('no lost count explains a surface below the arbor', () => {
		expect(ask([pause(200, 25, { lost: { id: 'a' } } as Partial<Reading>)]).readings[0]!.surprise).toBe(true);
	});

	it('a depth that is confirmed counts little while everything contradicts it, a thicker strand takes it', () => {
		const confirmed = ask([pause(600, 13.4, { takenAs: 'confirmed' })]);
		const thicker = ask([pause(600, 13.4, { takenAs: 'other-room' })]);
		expect(confirmed.readings[0]!.surprise).toBe(false);
		expect(thicker.layEfficiency.value).toBeLessThan(confirmed.layEfficiency.value);
		expect(ask([pause(600, 13.4, { takenAs: 'other-spool' })]).converged).toBe(true);
	});

	it('said of the gap, it is the line that takes other room; said of the spool, the strands under it', () => {
		const wound: Reading = { kind: 'depth', component: 0, turns: PLAN.turns, depthMm: PLAN.stopDepthMm };
		const gap = (takenAs?: 'other-room' | 'other-spool'): Estimate =>
			ask([wound, { kind: 'gap', gapMm: 0.9, takenAs }]);
		expect(gap().readings[1]!.surprise).toBe(true);
		expect(gap().todo.turns.value).toBeGreaterThan(-20);
		// A bulkier line: the backing has to end deeper.
		const room = gap('other-room').todo;
		expect(room.turns.value).toBeLessThan(-100);
		expect(room.stopDepthMm.value).toBeGreaterThan(PLAN.stopDepthMm + 1.5);
		expect(gap('other-spool').readings[1]!.surprise).toBe(false);
	});
	it('a depth by eye surprises nobody', () => {
		expect(ask([pause(600, depthAfter(600) + 3, { by: 'eye' })]).readings[0]!.surprise).toBe(false);
		expect(ask([pause(600, depthAfter(600) + 3)]).readings[0]!.surprise).toBe(true);
		expect(ask([pause(600, depthAfter(600) + 3, { by: 'coil-drop' })]).readings[0]!.surprise).toBe(false);
	});
});

describe('when the line is on', () => {
	const wound: Reading = { kind: 'amount', component: 0, turns: PLAN.turns };
	it('a narrow gap takes backing off, a wide one puts some on, from what is on', () => {
		const off = ask([wound, { kind: 'gap', gapMm: 2.6, places: 2 }]);
		expect(off.todo.turns.value).toBeLessThan(-30);
		expect(off.todo.stopDepthMm.value).toBeGreaterThan(PLAN.stopDepthMm);
		expect(off.stopBy).not.toBe('depth');
		expect(ask([wound, { kind: 'gap', gapMm: 5.4 }]).todo.lengthMm.value).toBeGreaterThan(3000);
	});
	it('backing that was changed and covered again is read anew, as another laying', () => {
		const again = ask([
			wound,
			{ kind: 'gap', gapMm: 2.6, places: 2 },
			{ kind: 'amount', component: 0, turns: PLAN.turns - 90 },
			{ kind: 'gap', gapMm: 4, places: 2 }
		]);
		expect(again.readings.every(({ surprise }) => !surprise)).toBe(true);
		expect(Math.abs(again.todo.turns.value)).toBeLessThan(30);
	});
	it('no more comes off than there is', () => {
		const thick = { ...LINE, sections: taperOf({ taper: 'WF', number: 12, density: 'F' }) };
		const problem = problemOn(STRAIGHT, [BACKING, thick]);
		const turns = 40;
		const told = ask(
			[
				{ kind: 'amount', component: 0, turns },
				{ kind: 'gap', gapMm: 0.2 }
			],
			problem
		);
		expect(told.todo.turns.value).toBeGreaterThanOrEqual(-turns * 1.001);
	});
});
