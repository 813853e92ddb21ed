import { describe, expect, it } from 'vitest';
import { solveFit, type Fit } from '../../fit/solve';
import type { Component, KnownComponent } from '../../fit/stack';
import { level, scaleBulk } from '../../line/sections';
import { DISHED, fitOf, spoolFrom as spool, STRAIGHT, value } from '../../testing';
import { firstOrder } from '../../uncertainty/first-order';
import type { Range } from '../../uncertainty/propagate';
import { DEFAULT_SPREADS } from '../../uncertainty/spreads';
import { BACKING, LINE, problemOn } from '../testing';
import { checkpoint } from './checkpoint';
import { correct } from './correct';
import { halfFit } from './half-fit';
import { asSeenAlone } from './seen-alone';

const span = ({ low, high }: Range): number => high - low;
const UNDER = { diameterMm: 0.48, layEfficiency: 0.9 };

describe('half-fit', () => {
	it.each([
		['straight', STRAIGHT],
		['dished', DISHED]
	])('finds the stop depth of the full calculation from the line alone: %s', (_, source) => {
		const alone = fitOf(problemOn(source, [LINE]));
		const planned = fitOf(problemOn(source)).solved!;
		const told = value(halfFit(source, { lineDepthMm: alone.layers[0]!.depthMm, gapMm: 4, backing: UNDER }));
		expect(told.stopDepthMm).toBeCloseTo(planned.stopDepthMm, 6);
		expect(told.lengthMm / planned.lengthMm).toBeCloseTo(1, 6);
		expect(told.turns / planned.turns).toBeCloseTo(1, 6);
	});
	it('knows the gap better than the calculation does, and its range holds the wanted one', () => {
		const told = value(halfFit(STRAIGHT, { lineDepthMm: 12.3, gapMm: 4 }));
		expect(told.ranges.gapMm.low).toBeLessThan(4);
		expect(told.ranges.gapMm.high).toBeGreaterThan(4);
		expect(span(told.ranges.gapMm)).toBeLessThan(1.6);
		const twice = value(halfFit(STRAIGHT, { lineDepthMm: 12.3, gapMm: 4, places: 2 }));
		expect(span(twice.ranges.gapMm)).toBeLessThan(span(told.ranges.gapMm));
	});
	it.each([
		['depth_below_arbor', 23.5, 4],
		['depth_above_rim', -1, 4],
		['line_alone_fills', 3, 4],
		['gap_leaves_no_room', 12, 30],
		['no_line_takes', 20.5, 4]
	])('refuses with %s', (code, lineDepthMm, gapMm) => {
		expect(halfFit(STRAIGHT, { lineDepthMm, gapMm })).toMatchObject({ ok: false, issues: [{ code }] });
	});
	it('no fly line takes more than a spool can hold of anything', () => {
		const huge = { kind: 'measured', rimDiameterMm: 300, arborDiameterMm: 40, widthMm: 60 } as const;
		expect(halfFit(huge, { lineDepthMm: 20, gapMm: 4 })).toMatchObject({
			ok: false,
			issues: [{ code: 'no_line_takes', path: ['lineDepthMm'] }]
		});
	});

	it('of a line that is described, both count; a depth that cannot be its own is refused', () => {
		const problem = problemOn();
		const expected = fitOf(problemOn(STRAIGHT, [LINE])).layers[0]!.depthMm;
		const stop = (depthMm: number): number => {
			const stack = value(asSeenAlone(problem, { depthMm }, DEFAULT_SPREADS));
			return fitOf({ ...problem, stack }).solved!.stopDepthMm;
		};
		const told = value(halfFit(STRAIGHT, { lineDepthMm: expected - 0.5, gapMm: 4 })).stopDepthMm;
		expect(stop(expected)).toBeCloseTo(fitOf(problem).solved!.stopDepthMm, 6);
		expect(stop(expected - 0.5)).toBeGreaterThan(stop(expected));
		expect(stop(expected - 0.5)).toBeLessThan(told);
		for (const depthMm of [20, 22, 22.9])
			expect(asSeenAlone(problem, { depthMm }, DEFAULT_SPREADS)).toMatchObject({
				ok: false,
				issues: [{ code: 'reading_contradicts', path: ['depthMm'] }]
			});
	});
});

describe('a reverse fill', () => {
	/** Turns of a backing over the line, from its surface to the gap. */
	const turnsOver = (backing: Component): number => {
		const alone = fitOf(problemOn(STRAIGHT, [LINE])).layers[0]!;
		const over = fitOf({ ...problemOn(STRAIGHT, [LINE, backing]), gapMm: 4 });
		expect(over.layers[0]!.depthMm).toBeCloseTo(alone.depthMm, 9);
		return over.solved!.turns;
	};
	const lineDepthMm = fitOf(problemOn(STRAIGHT, [LINE])).layers[0]!.depthMm;

	it.each([0.38, 0.48, 0.6])(
		'L = N·ΔV/ΔA, whichever backing you use is said to be: truly %d mm',
		(diameterMm) => {
			const turns = turnsOver({ ...BACKING, diameterMm } as Component);
			const truly = fitOf(problemOn(STRAIGHT, [{ ...BACKING, diameterMm } as Component, LINE])).solved!;
			const told = value(halfFit(STRAIGHT, { lineDepthMm, gapMm: 4, backing: UNDER, reverseTurns: turns }));
			expect(told.lengthMm / truly.lengthMm).toBeCloseTo(1, 4);
			expect(told.turns / truly.turns).toBeCloseTo(1, 4);
			expect(told.layEfficiency / (0.9 * (0.48 / diameterMm) ** 2)).toBeCloseTo(1, 4);
		}
	);
	it.each([
		['no_turns_yet', 0],
		['turns_contradict', 9000],
		['turns_contradict', 60]
	])('refuses with %s', (code, reverseTurns) => {
		const reading = { lineDepthMm, gapMm: 4, backing: UNDER, reverseTurns };
		expect(halfFit(STRAIGHT, reading)).toMatchObject({ ok: false, issues: [{ code, path: ['turns'] }] });
	});
	it('of a line and a backing that are described, makes the length that of the turns', () => {
		const turns = turnsOver({ ...BACKING, diameterMm: 0.42 } as Component);
		const problem = problemOn();
		const stack = value(asSeenAlone(problem, { depthMm: lineDepthMm, reverseTurns: turns }, DEFAULT_SPREADS));
		const truly = fitOf(problemOn(STRAIGHT, [{ ...BACKING, diameterMm: 0.42 } as Component, LINE])).solved!;
		expect(fitOf({ ...problem, stack }).solved!.lengthMm / truly.lengthMm).toBeCloseTo(1, 6);
		const tooFull = asSeenAlone(
			{ ...problem, gapMm: 14 },
			{ depthMm: lineDepthMm, reverseTurns: 9 },
			DEFAULT_SPREADS
		);
		expect(tooFull).toMatchObject({ ok: false, issues: [{ code: 'line_alone_fills', path: ['gapMm'] }] });
	});
});

describe('a checkpoint', () => {
	it.each([
		['straight', STRAIGHT],
		['dished', DISHED]
	])('on the plan leaves the rest of the plan: %s', (_, source) => {
		const problem = problemOn(source);
		const planned = fitOf(problem).solved!;
		const wound = value(
			solveFit(spool(source), [{ role: 'backing', layEfficiency: 0.9, sections: [level(60_000, 0.48)] }], 0)
		).layers[0]!;
		const told = value(checkpoint(problem, { component: 0, turns: wound.turns, depthMm: wound.depthMm }));
		expect(told.lengthSoFarMm).toBeCloseTo(60_000, 3);
		expect(told.remaining.turns).toBeCloseTo(planned.turns - wound.turns, 4);
		expect(told.remaining.lengthMm).toBeCloseTo(planned.lengthMm - 60_000, 2);
		expect(told.stopDepthMm).toBeCloseTo(planned.stopDepthMm, 6);
		expect(told.gapMm).toBeCloseTo(4, 6);
		expect(told.layEfficiency).toBeCloseTo(0.9, 6);
		expect(told.surprise).toBe(false);
	});

	it('narrows length and turns against the plan', () => {
		const problem = problemOn();
		const plan = firstOrder(problem, fitOf(problem)).ranges;
		const told = value(checkpoint(problem, { component: 0, turns: 700, depthMm: 14.1 }));
		expect(span(told.ranges.lengthMm)).toBeLessThan(0.7 * span(plan.lengthMm));
		expect(span(told.ranges.turns)).toBeLessThan(0.7 * span(plan.turns));
		expect(span(told.ranges.gapMm)).toBeLessThan(span(plan.gapByLengthMm));
	});

	it('past the stop asks for turns back', () => {
		const told = value(checkpoint(problemOn(), { component: 0, turns: 1000, depthMm: 11 }));
		expect(told.remaining.turns).toBeLessThan(0);
		expect(told.remaining.lengthMm).toBeLessThan(0);
	});

	it('in the line foretells the gap', () => {
		const problem = problemOn();
		const lengthMm = fitOf(problem).solved!.lengthMm;
		const backing: KnownComponent = {
			role: 'backing',
			layEfficiency: 0.9,
			sections: [level(lengthMm, 0.48)]
		};
		const half = value(solveFit(spool(STRAIGHT), [backing, { ...LINE, sections: [LINE.sections[0]!] }], 0))
			.layers[1]!;
		const told = value(checkpoint(problem, { component: 1, turns: half.turns, depthMm: half.depthMm }));
		expect(told.lengthSoFarMm).toBeCloseTo(LINE.sections[0]!.lengthMm, 0);
		expect(told.gapMm).toBeCloseTo(4, 1);
		expect(told.remaining.turns + half.turns).toBeCloseTo(fitOf(problem).layers[1]!.turns, 1);
	});

	it.each([
		['no_turns_yet', { component: 0, turns: 0, depthMm: 15 }],
		['no_such_component', { component: 2, turns: 10, depthMm: 15 }],
		['depth_below_arbor', { component: 0, turns: 10, depthMm: 23 }],
		['depth_above_rim', { component: 0, turns: 10, depthMm: -2 }],
		['reading_contradicts', { component: 0, turns: 200, depthMm: 14.6 }],
		['reading_contradicts', { component: 0, turns: 478, depthMm: 21.9 }]
	])('refuses with %s', (code, at) => {
		expect(checkpoint(problemOn(), at)).toMatchObject({ ok: false, issues: [{ code }] });
	});

	it('says of a reading that is only odd that it was left out', () => {
		const told = value(checkpoint(problemOn(), { component: 0, turns: 500, depthMm: 14.2 }));
		expect(told.surprise).toBe(true);
		expect(told.layEfficiency).toBeCloseTo(0.9, 9);
	});
});

describe('a correction', () => {
	const bulky = { ...LINE, sections: scaleBulk(LINE.sections, 1.08) };
	const wound = (lengthMm: number): Fit =>
		value(
			solveFit(
				spool(STRAIGHT),
				[{ role: 'backing', layEfficiency: 0.9, sections: [level(lengthMm, 0.48)] }, bulky],
				0
			)
		);
	const problem = problemOn();
	const planned = fitOf(problem).solved!;
	const seen = wound(planned.lengthMm);

	it('brings a line bulkier than thought near to the wanted gap, by length as by depth', () => {
		expect(seen.gapMm).toBeLessThan(3.6);
		const backing = { lengthMm: planned.lengthMm, depthMm: planned.stopDepthMm };
		const told = value(correct(problem, { gapMm: seen.gapMm, places: 3, backing }));
		expect(told.backingChangeMm).toBeLessThan(0);
		const after = wound(planned.lengthMm + told.backingChangeMm);
		expect(Math.abs(after.gapMm - 4)).toBeLessThan(0.12);
		// Both lead to the same place.
		expect(told.stopDepthMm).toBeCloseTo(after.layers[0]!.depthMm, 1);
		expect(after.layers[0]!.turns - seen.layers[0]!.turns).toBeCloseTo(told.turns, -1);
		expect(told.ranges.gapByDepthMm.low).toBeLessThan(4);
	});
	it('asks for nothing when the gap is right, and for more when it is wide', () => {
		expect(value(correct(problem, { gapMm: 4 })).backingChangeMm).toBeCloseTo(0, 3);
		expect(value(correct(problem, { gapMm: 5.5 })).turns).toBeGreaterThan(0);
		const counted = { gapMm: 5.5, backing: { turns: planned.turns } };
		expect(value(correct(problem, counted)).turns).toBeGreaterThan(0);
	});
	it('needs a component that is open, a gap on the spool, and one that goes with this much backing', () => {
		expect(correct(problemOn(STRAIGHT, [LINE]), { gapMm: 3 })).toMatchObject({
			ok: false,
			issues: [{ code: 'nothing_to_correct' }]
		});
		expect(correct(problem, { gapMm: 30 })).toMatchObject({
			ok: false,
			issues: [{ code: 'gap_leaves_no_room', path: ['seen', 'gapMm'] }]
		});
		// Wider than the backing is deep.
		expect(correct(problem, { gapMm: 16 })).toMatchObject({
			ok: false,
			issues: [{ code: 'reading_contradicts', path: ['seen', 'gapMm'] }]
		});
	});
});
