import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solveFit, type Fit } from '../fit/solve';
import type { Component, KnownComponent } from '../fit/stack';
import { taperOf } from '../line/class';
import { level, scaleBulk } from '../line/sections';
import { areaToRadius, radiusAtArea } from '../spool';
import { DISHED, fitOf, spoolFrom as spool, STRAIGHT, value } from '../testing';
import { firstOrder } from '../uncertainty/first-order';
import type { Problem } from '../uncertainty/inputs';
import { checkpoint } from './checkpoint';
import { correct } from './correct';
import { halfFit } from './half-fit';
import { handAsLay, learnHand, observeHand, priorHand, type HandBelief } from './hand';
import type { SpoolSource } from './source';

const LINE: KnownComponent = {
	role: 'line',
	layEfficiency: 0.88,
	sections: taperOf({ taper: 'WF', number: 6, density: 'F' })
};
const BACKING: Component = { role: 'backing', layEfficiency: 0.9, diameterMm: 0.48 };
const problemOn = (source: SpoolSource, stack: readonly Component[] = [BACKING, LINE]): Problem => ({
	source,
	stack,
	gapMm: 4
});

describe('radiusAtArea', () => {
	it('is the inverse of areaToRadius', () => {
		fc.assert(
			fc.property(fc.double({ min: 17, max: 50, noNaN: true }), (r) => {
				expect(radiusAtArea(spool(DISHED), areaToRadius(spool(DISHED), r))).toBeCloseTo(r, 9);
			})
		);
	});
});

describe('half-fit', () => {
	it.each([
		['straight', STRAIGHT],
		['dished', DISHED]
	])('finds the stop depth of the full calculation from the line alone: %s', (_, source) => {
		const alone = fitOf(problemOn(source, [LINE]));
		const planned = fitOf(problemOn(source));
		const told = value(
			halfFit(source, {
				lineDepthMm: alone.layers[0]!.depthMm,
				gapMm: 4,
				backing: { diameterMm: 0.48, layEfficiency: 0.9 }
			})
		);
		expect(told.stopDepthMm).toBeCloseTo(planned.solved!.stopDepthMm, 9);
		expect(told.lengthMm).toBeCloseTo(planned.solved!.lengthMm, 6);
		expect(told.turns).toBeCloseTo(planned.solved!.turns, 6);
	});
	it('knows the gap better than the calculation does, and its range holds the wanted one', () => {
		const told = value(halfFit(STRAIGHT, { lineDepthMm: 12.3, gapMm: 4 }));
		expect(told.ranges.gapMm.low).toBeLessThan(4);
		expect(told.ranges.gapMm.high).toBeGreaterThan(4);
		expect(told.ranges.gapMm.high - told.ranges.gapMm.low).toBeLessThan(1.6);
		expect(told.lengthMm).toBeUndefined();
	});
	it.each([
		['depth_below_arbor', 23.5, 4],
		['depth_above_rim', -1, 4],
		['line_alone_fills', 3, 4],
		['gap_leaves_no_room', 12, 30]
	])('refuses with %s', (code, lineDepthMm, gapMm) => {
		expect(halfFit(STRAIGHT, { lineDepthMm, gapMm })).toMatchObject({ ok: false, issues: [{ code }] });
	});
});

describe('a checkpoint', () => {
	it('L = πN(D₀ + D₁)/2 on a straight spool, whatever the backing', () => {
		const told = value(checkpoint(problemOn(STRAIGHT), { component: 0, turns: 600, depthMm: 15 }));
		expect(told.lengthSoFarMm).toBeCloseTo((Math.PI * 600 * (38 + 54)) / 2, 6);
		const thin = problemOn(STRAIGHT, [{ ...BACKING, diameterMm: 0.3 } as Component, LINE]);
		expect(value(checkpoint(thin, { component: 0, turns: 600, depthMm: 15 })).lengthSoFarMm).toBeCloseTo(
			told.lengthSoFarMm,
			9
		);
	});

	it.each([
		['straight', STRAIGHT],
		['dished', DISHED]
	])('on the plan leaves the rest of the plan: %s', (_, source) => {
		const problem = problemOn(source);
		const planned = fitOf(problem).solved!;
		const wound = value(
			solveFit(spool(source), [{ role: 'backing', layEfficiency: 0.9, sections: [level(60_000, 0.48)] }], 0)
		).layers[0]!;
		const at = { component: 0, turns: wound.turns, depthMm: wound.depthMm };
		const told = value(checkpoint(problem, at));
		expect(told.lengthSoFarMm).toBeCloseTo(60_000, 4);
		expect(told.remaining.turns).toBeCloseTo(planned.turns - wound.turns, 6);
		expect(told.remaining.lengthMm).toBeCloseTo(planned.lengthMm - 60_000, 4);
		expect(told.stopDepthMm).toBeCloseTo(planned.stopDepthMm, 9);
		expect(told.gapMm).toBeCloseTo(4, 9);
		expect(told.layEfficiency).toBeCloseTo(0.9, 9);
	});

	it('narrows length and turns against the plan', () => {
		const problem = problemOn(STRAIGHT);
		const plan = firstOrder(problem, fitOf(problem)).ranges;
		const told = value(checkpoint(problem, { component: 0, turns: 700, depthMm: 14.1 }));
		const span = ({ low, high }: { low: number; high: number }): number => high - low;
		expect(span(told.ranges.lengthMm)).toBeLessThan(0.7 * span(plan.lengthMm));
		expect(span(told.ranges.turns)).toBeLessThan(0.7 * span(plan.turns));
		expect(span(told.ranges.gapMm)).toBeLessThan(span(plan.gapByLengthMm));
	});

	it('past the stop asks for turns back', () => {
		const told = value(checkpoint(problemOn(STRAIGHT), { component: 0, turns: 1000, depthMm: 11 }));
		expect(told.remaining.turns).toBeLessThan(0);
		expect(told.remaining.lengthMm).toBeLessThan(0);
	});

	it('in the line foretells the gap: a line laid looser than planned stands higher', () => {
		const problem = problemOn(STRAIGHT);
		const loose = { ...LINE, layEfficiency: 0.8 };
		const backing: KnownComponent = {
			role: 'backing',
			layEfficiency: 0.9,
			sections: [level(fitOf(problem).solved!.lengthMm, 0.48)]
		};
		const truth = value(solveFit(spool(STRAIGHT), [backing, loose], 0));
		const half = value(solveFit(spool(STRAIGHT), [backing, { ...loose, sections: [loose.sections[0]!] }], 0))
			.layers[1]!;
		const told = value(checkpoint(problem, { component: 1, turns: half.turns, depthMm: half.depthMm }));
		expect(told.gapMm).toBeCloseTo(truth.gapMm, 6);
		expect(told.layEfficiency).toBeCloseTo(0.8, 6);
		expect(told.remaining.turns + half.turns).toBeCloseTo(truth.layers[1]!.turns, 2);
	});

	it.each([
		['no_turns_yet', { component: 0, turns: 0, depthMm: 15 }],
		['no_such_component', { component: 2, turns: 10, depthMm: 15 }],
		['depth_below_arbor', { component: 0, turns: 10, depthMm: 23 }],
		['depth_above_rim', { component: 0, turns: 10, depthMm: -2 }],
		['depth_below_start', { component: 1, turns: 10, depthMm: 14 }]
	])('refuses with %s', (code, at) => {
		expect(checkpoint(problemOn(STRAIGHT), at)).toMatchObject({ ok: false, issues: [{ code }] });
	});
});

describe('a correction', () => {
	it('brings a line bulkier than thought to the wanted gap', () => {
		const problem = problemOn(STRAIGHT);
		const planned = fitOf(problem).solved!;
		const bulky = { ...LINE, sections: scaleBulk(LINE.sections, 1.08) };
		const wound = (lengthMm: number): Fit =>
			value(
				solveFit(
					spool(STRAIGHT),
					[{ role: 'backing', layEfficiency: 0.9, sections: [level(lengthMm, 0.48)] }, bulky],
					0
				)
			);
		const seen = wound(planned.lengthMm).gapMm;
		expect(seen).toBeLessThan(4);
		const told = value(correct(problem, seen));
		expect(told.backingChangeMm).toBeLessThan(0);
		expect(wound(planned.lengthMm + told.backingChangeMm).gapMm).toBeCloseTo(4, 9);
		expect(told.turns).toBeCloseTo(
			wound(planned.lengthMm + told.backingChangeMm).layers[0]!.turns - planned.turns,
			6
		);
	});
	it('asks for nothing when the gap is right, and for more when it is wide', () => {
		expect(value(correct(problemOn(STRAIGHT), 4)).backingChangeMm).toBeCloseTo(0, 9);
		expect(value(correct(problemOn(STRAIGHT), 6)).turns).toBeGreaterThan(0);
	});
	it('takes off no more than there is', () => {
		const told = value(correct(problemOn(STRAIGHT), -15));
		expect(told.backingChangeMm).toBeCloseTo(-fitOf(problemOn(STRAIGHT)).solved!.lengthMm, 3);
	});
	it('needs a component that is open', () => {
		expect(correct(problemOn(STRAIGHT, [LINE]), 3)).toMatchObject({
			ok: false,
			issues: [{ code: 'nothing_to_correct' }]
		});
	});
});

/** Mean and deviation of an unnormalised density by plain sums on a fine grid: slow and obvious. */
function integrateGrid(density: (x: number) => number, low: number, high: number) {
	const step = (high - low) / 200_000;
	let [weight, first, second] = [0, 0, 0];
	for (let x = low; x <= high; x += step) {
		const d = density(x);
		weight += d;
		first += d * x;
		second += d * x * x;
	}
	const mean = first / weight;
	return { mean, sigma: Math.sqrt(second / weight - mean * mean) };
}

describe('learning a hand', () => {
	const prior = priorHand(0.9, 0.05);
	const fills = [
		{ spool: spool(STRAIGHT), diameterMm: 0.48, turns: 800, depthMm: 12.4 },
		{ spool: spool(STRAIGHT), diameterMm: 0.48, turns: 640, depthMm: 14.1 },
		{ spool: spool(DISHED), diameterMm: 0.48, turns: 700, depthMm: 14.8 }
	];
	const observed = fills.map((fill) => observeHand(fill));

	it('reads η back from the turns and depth of a fill wound with it', () => {
		const wound = value(
			solveFit(
				spool(STRAIGHT),
				[{ role: 'backing', layEfficiency: 0.83, sections: [level(90_000, 0.48)] }],
				0
			)
		).layers[0]!;
		const seen = observeHand({
			spool: spool(STRAIGHT),
			diameterMm: 0.48,
			turns: wound.turns,
			depthMm: wound.depthMm
		});
		expect(Math.exp(seen.meanLn)).toBeCloseTo(0.83, 9);
	});

	it('the posterior is that of a grid integration of prior times likelihood', () => {
		const density = ({ meanLn, sigmaLn }: HandBelief, x: number): number =>
			Math.exp(-0.5 * ((x - meanLn) / sigmaLn) ** 2);
		const { mean, sigma } = integrateGrid(
			(x) => [prior, ...observed].reduce((product, belief) => product * density(belief, x), 1),
			-1,
			0.5
		);
		const posterior = learnHand(prior, observed);
		expect(posterior.meanLn).toBeCloseTo(mean, 6);
		expect(posterior.sigmaLn).toBeCloseTo(sigma, 6);
	});

	it('does not mind the order, and grows surer with every fill', () => {
		expect(learnHand(prior, [...observed].reverse()).meanLn).toBeCloseTo(
			learnHand(prior, observed).meanLn,
			12
		);
		const widths = [0, 1, 2, 3].map((n) => learnHand(prior, observed.slice(0, n)).sigmaLn);
		expect(widths).toEqual([...widths].sort((a, b) => b - a));
		expect(handAsLay(learnHand(prior, observed)).share).toBeLessThan(prior.sigmaLn / 2);
	});

	it('a fill below the arbor is a mistake of the program', () => {
		expect(() => observeHand({ ...fills[0]!, depthMm: 40 })).toThrow(RangeError);
	});
});
