import { describe, expect, it } from 'vitest';
import { taperOf } from '../line/class';
import { level, totalLengthMm } from '../line/sections';
import { straightSpool, type Spool } from '../spool';
import { matchPair, sharedBacking } from './match';
import { runoutOf } from './runout';
import { solveFit, type Fit } from './solve';
import type { KnownComponent } from './stack';

const SPOOL: Spool = (() => {
	const built = straightSpool({ rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 21 });
	if (!built.ok) throw new Error('no spool');
	return built.value;
})();
const BACKING = { diameterMm: 0.48, layEfficiency: 0.9 };
const line = (number: number) => ({
	sections: taperOf({ taper: 'WF', number, density: 'F' }),
	layEfficiency: 0.88
});
const fit = (result: ReturnType<typeof matchPair>): Fit => {
	if (!result.ok) throw new Error(JSON.stringify(result.issues));
	return result.value;
};

describe('a pair of the matrix', () => {
	it('takes less backing the heavier the line', () => {
		const lengths = [4, 5, 6, 7, 8].map((n) => fit(matchPair(SPOOL, line(n), BACKING, 4)).solved!.lengthMm);
		expect(lengths).toEqual([...lengths].sort((a, b) => b - a));
	});
	it('says when a line is too big', () => {
		expect(fit(matchPair(SPOOL, line(15), BACKING, 4)).fits).toBe(false);
	});
});

describe('one backing under many lines', () => {
	const lines = [5, 8, 6].map((n) => ({ ...line(n), leastGapMm: 3 }));
	it('is what the bulkiest leaves; every other keeps more than its gap', () => {
		const shared = sharedBacking(SPOOL, lines, BACKING)!;
		expect(shared.tightest).toBe(1);
		expect(shared.lengthMm).toBeCloseTo(fit(matchPair(SPOOL, line(8), BACKING, 3)).solved!.lengthMm, 6);
		expect(shared.gapsMm[1]).toBeCloseTo(3, 9);
		expect(shared.gapsMm[0]).toBeGreaterThan(shared.gapsMm[2]!);
		expect(shared.gapsMm[2]).toBeGreaterThan(3);
	});
	it('a slim line with a wide gap of its own may decide', () => {
		const wide = [
			{ ...line(5), leastGapMm: 9 },
			{ ...line(6), leastGapMm: 2 }
		];
		const shared = sharedBacking(SPOOL, wide, BACKING)!;
		expect(shared.tightest).toBe(0);
		expect(shared.gapsMm[0]).toBeCloseTo(9, 9);
	});
	it('is none when one of them does not fit at all', () => {
		expect(sharedBacking(SPOOL, [...lines, { ...line(15), leastGapMm: 3 }], BACKING)).toBeUndefined();
		expect(() => sharedBacking(SPOOL, [], BACKING)).toThrow(RangeError);
	});
});

describe('the run-out', () => {
	const stack: KnownComponent[] = [
		{ role: 'backing', layEfficiency: 0.9, sections: [level(120_000, 0.48)] },
		{ role: 'line', ...line(6) }
	];
	const wound = fit(solveFit(SPOOL, stack, 0));
	const at = runoutOf(SPOOL, wound, stack);
	const lineMm = totalLengthMm(stack[1]!.sections);

	it('starts full, has the line off at its length, and ends on the bare arbor', () => {
		expect(at(0).surfaceRadiusMm).toBeCloseTo(wound.layers[1]!.outerRadiusMm, 9);
		expect(at(0).dragFactor).toBeCloseTo(1, 9);
		expect(at(lineMm).surfaceRadiusMm).toBeCloseTo(wound.layers[0]!.outerRadiusMm, 9);
		expect(at(lineMm + 1).component).toBe(0);
		expect(at(lineMm + 120_000).surfaceRadiusMm).toBeCloseTo(19, 9);
		expect(at(1e9)).toMatchObject({ surfaceRadiusMm: 19, component: undefined });
	});
	it('retrieve is the circle, the drag grows as r_full/r', () => {
		const point = at(lineMm + 60_000);
		expect(point.retrieveMm).toBeCloseTo(2 * Math.PI * point.surfaceRadiusMm, 12);
		expect(point.dragFactor * point.surfaceRadiusMm).toBeCloseTo(wound.layers[1]!.outerRadiusMm, 9);
	});
	it('the turns of the whole run add up: ∫ dL / 2πr', () => {
		const totalMm = lineMm + 120_000;
		const steps = 20_000;
		let turns = 0;
		for (let i = 0; i < steps; i++) turns += totalMm / steps / at(((i + 0.5) * totalMm) / steps).retrieveMm;
		expect(turns).toBeCloseTo(wound.layers[0]!.turns + wound.layers[1]!.turns, 1);
	});
});
