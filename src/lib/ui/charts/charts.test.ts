import { retrievePerTurnMm, runoutOf, simulate } from '$lib/core';
import { PRESETS } from '$lib/setup/presets';
import { measured, worked } from '$lib/setup/testing';
import type { Workout } from '$lib/setup/evaluate-form';
import { describe, expect, it } from 'vitest';
import { CONTROL_MM, gaugeOf, gaugePlan, gaugeSvg } from './gauge';
import { histogram } from './histogram';
import { runChart } from './run';
import { plannedLayers } from './section/layers';
import { STRAND_W, taperPath } from './thread/profile';
import { strandsOf } from './thread/strands';

function workedWith(measures: [string, string, string], preset?: string): Workout {
	const form = measured(...measures);
	const stack = PRESETS.find(({ slug }) => slug === preset)?.stack();
	if (stack) form.fill.stack = stack;
	return worked(form);
}
const TROUT = workedWith(['84 mm', '38 mm', '21 mm']);
const SPEY = workedWith(['112 mm', '44 mm', '32 mm'], 'full-spey');

describe('a histogram', () => {
	const { gapsMm } = simulate(TROUT.problem, TROUT.fit, { trials: 4000, seed: 3 });
	it('has as many bars as asked for, within its room, the tallest filling it', () => {
		const { bars } = histogram(gapsMm, 400, 120);
		expect(bars).toHaveLength(40);
		for (const bar of bars) {
			expect(bar.x).toBeGreaterThanOrEqual(0);
			expect(bar.x + bar.width).toBeLessThanOrEqual(400.001);
			expect(bar.y + bar.height).toBeCloseTo(120, 9);
		}
		expect(Math.max(...bars.map(({ height }) => height))).toBeCloseTo(120, 9);
	});
	it('leaves out no more than the tails', () => {
		const { bars } = histogram(gapsMm, 400, 100, 10);
		const [low, high] = [bars[0]!.middle, bars.at(-1)!.middle];
		const within = [...gapsMm].filter((gap) => gap > low - 1 && gap < high + 1).length;
		expect(within / gapsMm.length).toBeGreaterThan(0.99);
	});
	it('draws a sample with no spread at all', () => {
		const { bars, x } = histogram(new Float64Array(50).fill(4), 200, 100);
		expect(x.domain()).toEqual([3.5, 4.5]);
		expect(bars.filter(({ height }) => height > 0)).toHaveLength(1);
	});
});

describe('the chart of the run', () => {
	const at = runoutOf(SPEY.known.spool, SPEY.fit, SPEY.stack);
	const totalMm = SPEY.fit.layers.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
	const points = Array.from({ length: 41 }, (_, i) => at((i / 40) * totalMm));
	const room = { left: 50, width: 400 };
	const chart = runChart(points, { ...room, top: 10, height: 100 }, { ...room, top: 150, height: 60 });

	it('goes from full at the left to the bare arbor at the right', () => {
		expect(chart.x(0)).toBe(50);
		expect(chart.x(totalMm)).toBe(450);
		expect(points[0]!.retrieveMm).toBeCloseTo(retrievePerTurnMm(SPEY.fit.layers.at(-1)!.outerRadiusMm), 6);
		expect(points.at(-1)!.retrieveMm).toBeCloseTo(retrievePerTurnMm(SPEY.known.spool.arborRadiusMm), 6);
	});
	it('retrieve falls and drag grows all the way, each inside its room', () => {
		for (let i = 1; i < points.length; i++) {
			expect(points[i]!.retrieveMm).toBeLessThan(points[i - 1]!.retrieveMm);
			expect(points[i]!.dragFactor).toBeGreaterThan(points[i - 1]!.dragFactor);
		}
		for (const { retrieveMm, dragFactor } of points) {
			expect(chart.retrieveY(retrieveMm)).toBeGreaterThanOrEqual(10 - 1e-9);
			expect(chart.retrieveY(retrieveMm)).toBeLessThanOrEqual(110 + 1e-9);
			expect(chart.dragY(dragFactor)).toBeGreaterThanOrEqual(150 - 1e-9);
			expect(chart.dragY(dragFactor)).toBeLessThanOrEqual(210 + 1e-9);
		}
		expect(chart.retrieve.startsWith('M50,')).toBe(true);
	});
});

describe('the depth gauge', () => {
	const gauge = gaugeOf(TROUT)!;
	const plan = gaugePlan(gauge, 'A & B <reel>', (mm) => `${mm.toFixed(1)} mm`);
	const svg = gaugeSvg(gauge, plan);

	it('marks stop, line and rim at their true heights above the arbor', () => {
		const { arborRadiusMm, rimRadiusMm } = TROUT.known.spool;
		const heights = Object.fromEntries(gauge.marks.map(({ key, heightMm }) => [key, heightMm]));
		expect(heights['rim']).toBeCloseTo(rimRadiusMm - arborRadiusMm, 9);
		expect(heights['stop']).toBeCloseTo(rimRadiusMm - TROUT.fit.solved!.stopDepthMm - arborRadiusMm, 9);
		expect(heights['full']).toBeCloseTo(rimRadiusMm - TROUT.fit.gapMm - arborRadiusMm, 9);
		expect(heights['stop']).toBeLessThan(heights['full']!);
	});
	it('goes between the flanges, and everything stands on the page', () => {
		expect(gauge.stripMm).toBeLessThan(21);
		const { strip, lines, texts, control } = plan;
		expect(control.width).toBe(CONTROL_MM);
		for (const { y } of [...lines, ...texts, control]) {
			expect(y).toBeGreaterThan(0);
			expect(y).toBeLessThan(gauge.pageHeightMm);
		}
		expect(strip.y + strip.height - lines.at(-1)!.y).toBeCloseTo(23, 9);
		expect(control.x + control.width).toBeLessThan(gauge.pageWidthMm);
	});
	it('is an SVG as large as it says, the name escaped', () => {
		expect(svg).toContain(`width="${gauge.pageWidthMm}mm"`);
		expect(svg).toContain(`viewBox="0 0 ${gauge.pageWidthMm} ${gauge.pageHeightMm}"`);
		expect(svg).toContain('A &amp; B &lt;reel&gt;');
		expect(svg).not.toContain('<reel>');
	});
	it('there is none for what does not fit', () => {
		expect(gaugeOf(workedWith(['60 mm', '44 mm', '14 mm']))).toBeUndefined();
	});
});

describe('strands and layers of a stack', () => {
	it('one of each for every part, from the arbor outward, each on the one before', () => {
		const layers = plannedLayers(SPEY);
		expect(layers.map(({ role }) => role)).toEqual(['backing', 'running-line', 'head', 'tip']);
		expect(strandsOf(SPEY).map(({ role }) => role)).toEqual(layers.map(({ role }) => role));
		layers.forEach(({ layer }, i) => {
			const below = layers[i - 1]?.layer.outerRadiusMm ?? SPEY.known.spool.arborRadiusMm;
			expect(layer.innerRadiusMm).toBeCloseTo(below, 9);
			expect(layer.outerRadiusMm).toBeGreaterThan(layer.innerRadiusMm);
		});
		expect(new Set(layers.map(({ colour }) => colour)).size).toBe(4);
	});
	it('a taper is drawn from end to end, as thick as its room where it is thickest', () => {
		const path = taperPath(SPEY.stack[2]!.sections, 13);
		const numbers = path.match(/-?\d+(\.\d+)?/g)!.map(Number);
		const [xs, ys] = [numbers.filter((_, i) => i % 2 === 0), numbers.filter((_, i) => i % 2 === 1)];
		expect(Math.min(...xs)).toBe(0);
		expect(Math.max(...xs)).toBe(STRAND_W);
		expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(13, 2);
	});
});
