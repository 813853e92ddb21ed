import { describe, expect, it } from 'vitest';
import { level, type LineSection } from '../line/sections';
import { HEXAGONAL_PACKING, MAX_LAY_EFFICIENCY, SQUARE_PACKING } from '../packing/packing';
import { straightSpool, type Spool } from '../spool';
import { toMm } from '../units/units';
import { retrievePerTurnMm, solveFit, type Fit } from './solve';
import type { Component, Stack } from './stack';

const section = (lengthM: number, start: number, end: number): LineSection => ({
	lengthMm: lengthM * 1000,
	startDiameterMm: start,
	endDiameterMm: end
});
const LINE: Component = {
	role: 'line',
	layEfficiency: 0.88,
	sections: [
		section(15.6, 0.9, 0.9),
		section(1.9, 0.9, 1.25),
		section(8, 1.25, 1.25),
		section(1.8, 1.25, 0.9),
		section(0.15, 0.9, 0.9)
	]
};
const BACKING: Component = { role: 'backing', layEfficiency: 0.9, diameterMm: 0.48 };

const spoolOf = (rim: number, arbor: number, width: number, frame?: number): Spool => {
	const built = straightSpool({
		rimDiameterMm: rim,
		arborDiameterMm: arbor,
		widthMm: width,
		frameDiameterMm: frame
	});
	if (!built.ok) throw new Error(JSON.stringify(built.issues));
	return built.value;
};
const fitted = (spool: Spool, stack: Stack, gapMm: number): Fit => {
	const fit = solveFit(spool, stack, gapMm);
	if (!fit.ok) throw new Error(JSON.stringify(fit.issues));
	return fit.value;
};

describe('the worked example (an independent step-by-step integration)', () => {
	const fit = fitted(spoolOf(84, 38, 21), [BACKING, LINE], 4);
	it('length, turns and stop depth', () => {
		expect(fit.solved!.lengthMm / 1000).toBeCloseTo(147.83, 2);
		expect(fit.solved!.turns).toBeCloseTo(949.3, 1);
		expect(fit.solved!.stopDepthMm).toBeCloseTo(11.43, 2);
	});
	it('surfaces, bulk and turns of the line', () => {
		const [backing, line] = fit.layers;
		expect(backing!.outerRadiusMm).toBeCloseTo(30.572, 3);
		expect(line!.volumeMm3).toBeCloseTo(23_225, 0);
		expect(line!.turns).toBeCloseTo(129.4, 1);
		expect(line!.outerRadiusMm).toBeCloseTo(38, 9);
		expect(fit.gapMm).toBe(4);
	});
});

describe('drum capacity, against the wire-rope handbook formula L = (A + B)·A·C·0.2618/d² (ft, in)', () => {
	/** A depth of rope, B drum diameter, C width between flanges, d rope diameter: inches; square lay. */
	it.each([
		[1.25, 3, 2, 0.0625],
		[0.9, 1.5, 0.83, 0.02],
		[4, 12, 18, 0.5]
	])('A %d, B %d, C %d, d %d', (A, B, C, d) => {
		const feet = ((A + B) * A * C * 0.2618) / (d * d);
		const spool = spoolOf(25.4 * (B + 2 * A) + 8, 25.4 * B, 25.4 * C);
		const fit = fitted(spool, [{ role: 'backing', layEfficiency: 1, diameterMm: 25.4 * d }], 4);
		expect(fit.solved!.lengthMm / toMm(feet, 'ft')).toBeCloseTo(1, 5);
	});
});

describe('a wound web, against the web-handling formula L = π(D² − d²)/(4t)', () => {
	it('holds for a strand whose space across the width is that of a web of thickness t', () => {
		const [D, d, t, width] = [76, 38, 0.4, 21];
		const strand = 0.5;
		// A web as wide as the spool: each turn takes t × width. A strand of area a at packing φ takes a/φ.
		const a = (Math.PI / 4) * strand * strand;
		const layEfficiency = a / (t * width) / SQUARE_PACKING;
		const fit = fitted(spoolOf(D + 8, d, width), [{ role: 'backing', layEfficiency, diameterMm: strand }], 4);
		expect(fit.solved!.lengthMm).toBeCloseTo((Math.PI * (D * D - d * d)) / (4 * t), 6);
		expect(fit.solved!.turns).toBeCloseTo((D - d) / 2 / t, 8);
	});
});

describe('packing, against plane geometry and Thue (1910)', () => {
	it('square lay is a circle in its square, hexagonal a circle in its hexagon', () => {
		expect(SQUARE_PACKING).toBeCloseTo((Math.PI * 0.5 ** 2) / 1, 12);
		const hexagon = 6 * (0.5 * Math.tan(Math.PI / 6)) * 0.5;
		expect(HEXAGONAL_PACKING).toBeCloseTo((Math.PI * 0.5 ** 2) / hexagon, 12);
		expect(MAX_LAY_EFFICIENCY).toBeCloseTo(2 / Math.sqrt(3), 12);
	});
	it('denser than hexagonal is refused, naming the component', () => {
		const stack = [BACKING, { ...LINE, layEfficiency: 1.16 }];
		expect(solveFit(spoolOf(84, 38, 21), stack, 4)).toMatchObject({
			ok: false,
			issues: [{ code: 'packing_above_hexagonal', path: ['stack', 1, 'layEfficiency'] }]
		});
	});
});

describe('fits and misfits', () => {
	it('a line too big for the spool: nothing of the unknown, and by how much it is over', () => {
		const fit = fitted(spoolOf(66, 38, 18), [BACKING, LINE], 4);
		expect(fit.fits).toBe(false);
		expect(fit.solved).toMatchObject({ lengthMm: 0, turns: 0 });
		expect(fit.gapMm).toBeLessThan(4);
		expect(fit.excess!.gapMm).toBeCloseTo(4 - fit.gapMm, 9);
		// Cut that much off its rear, and it just keeps the gap.
		const shorter = {
			...LINE,
			sections: [section(15.6 - fit.excess!.lengthMm / 1000, 0.9, 0.9), ...LINE.sections.slice(1)]
		};
		const refit = fitted(spoolOf(66, 38, 18), [shorter], 4);
		expect(refit.gapMm).toBeCloseTo(4, 6);
	});
	it('with nothing to solve the gap is the answer, negative above the rim', () => {
		expect(fitted(spoolOf(84, 38, 21), [LINE], 4).gapMm).toBeGreaterThan(4);
		const over = fitted(spoolOf(56, 38, 18), [LINE], 4);
		expect(over.gapMm).toBeLessThan(0);
		expect(over).toMatchObject({ fits: false });
		expect(over.solved).toBeUndefined();
	});
	it('measures the gap to the frame where there is one, and never is above the rim', () => {
		const framed = fitted(spoolOf(84, 38, 21, 88), [BACKING, LINE], 4);
		expect(framed.layers.at(-1)!.outerRadiusMm).toBeCloseTo(40, 9);
		expect(solveFit(spoolOf(84, 38, 21, 88), [BACKING, LINE], 1)).toMatchObject({
			ok: false,
			issues: [{ code: 'gap_above_rim' }]
		});
	});
	it('refuses a gap below the arbor, and two unknowns', () => {
		expect(solveFit(spoolOf(84, 38, 21), [BACKING, LINE], 23)).toMatchObject({
			ok: false,
			issues: [{ code: 'gap_leaves_no_room', path: ['gapMm'] }]
		});
		expect(solveFit(spoolOf(84, 38, 21), [BACKING, BACKING, LINE], 4)).toMatchObject({
			ok: false,
			issues: [{ code: 'too_many_unknowns', path: ['stack', 1] }]
		});
	});
	it('order does not change the final surface, but the turns', () => {
		const bed: Component = { role: 'bed', layEfficiency: 0.9, sections: [level(5000, 0.45)] };
		const a = fitted(spoolOf(84, 38, 21), [bed, LINE], 4);
		const b = fitted(spoolOf(84, 38, 21), [LINE, bed], 4);
		expect(a.gapMm).toBeCloseTo(b.gapMm, 9);
		expect(a.layers[0]!.turns).toBeGreaterThan(b.layers[1]!.turns);
	});
	it('one turn brings in the circle it is wound on', () => {
		expect(retrievePerTurnMm(38)).toBeCloseTo(2 * Math.PI * 38, 12);
	});
});
