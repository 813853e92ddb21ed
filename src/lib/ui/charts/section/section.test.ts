import { level, straightSpool, taperOf, totalVolumeMm3, widthAtRadius, type Spool } from '$lib/core';
import { spoolFromProfile } from '$lib/core/spool';
import { describe, expect, it } from 'vitest';
import { dotPaths, rowPaths } from './dots';
import { gapBounds, ruleTicks, sectionLayout } from './layout';
import { layerPath, metalPath } from './metal';
import { diameterByShare, wrapRows } from './wraps';

const value = <T>(result: { ok: true; value: T } | { ok: false }): T => {
	if (!result.ok) throw new Error('no spool');
	return result.value;
};
const straight = value(straightSpool({ rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 21 }));
const dished = value(
	spoolFromProfile([
		{ radiusMm: 15, widthMm: 6 },
		{ radiusMm: 25, widthMm: 20 },
		{ radiusMm: 42, widthMm: 24 }
	])
);
const backing = { innerRadiusMm: 19, outerRadiusMm: 30.572, turns: 949.3, sections: [level(1000, 0.48)] };

describe('wraps', () => {
	const sections = taperOf({ taper: 'WF', number: 6, density: 'F' });
	it.each<[string, Spool, Parameters<typeof wrapRows>[1]]>([
		['backing on a straight spool', straight, backing],
		['backing on a dished spool', dished, { ...backing, innerRadiusMm: 15 }],
		['a tapered line', straight, { innerRadiusMm: 30, outerRadiusMm: 38, turns: 130, sections }],
		['a turn or two', straight, { ...backing, outerRadiusMm: 19.05, turns: 2 }]
	])('%s: as many circles as turns, all inside', (_, spool, layer) => {
		const rows = wrapRows(spool, layer);
		expect(rows.reduce((sum, row) => sum + row.acrossMm.length, 0)).toBe(Math.round(layer.turns));
		for (const { radiusMm, diameterMm, acrossMm } of rows) {
			expect(radiusMm).toBeGreaterThan(layer.innerRadiusMm);
			expect(radiusMm).toBeLessThan(layer.outerRadiusMm);
			for (const x of acrossMm)
				expect(Math.abs(x) + diameterMm / 2).toBeLessThanOrEqual(widthAtRadius(spool, radiusMm) / 2 + 1e-9);
		}
	});
	it('rows do not lie in each other by more than they are loose', () => {
		const rows = wrapRows(straight, backing);
		for (let i = 1; i < rows.length; i++)
			expect(rows[i]!.radiusMm - rows[i - 1]!.radiusMm).toBeGreaterThan(0.9 * 0.48);
	});
	it('nothing wound is nothing drawn', () => {
		expect(wrapRows(straight, { ...backing, turns: 0 })).toEqual([]);
		expect(wrapRows(straight, { ...backing, outerRadiusMm: 19 })).toEqual([]);
	});
	it('the diameter follows the bulk wound', () => {
		const at = diameterByShare([level(1000, 1), level(1000, 2)]);
		const half = totalVolumeMm3([level(1000, 1)]) / totalVolumeMm3([level(1000, 1), level(1000, 2)]);
		expect([at(-1), at(half * 0.9), at(half * 1.1), at(2)]).toEqual([1, 1, 2, 2]);
	});
});

describe('the drawing', () => {
	it('is true to scale and inside its box, wide and narrow', () => {
		for (const [spool, width] of [
			[straight, 640],
			[dished, 640],
			[straight, 358]
		] as const) {
			const layout = sectionLayout(spool, width, 560);
			expect(layout.y(20) - layout.y(21)).toBeCloseTo(layout.scale, 9);
			expect(layout.leftPx).toBeGreaterThan(0);
			expect(layout.rightPx).toBeLessThan(width);
			expect(layout.y(spool.rimRadiusMm)).toBeGreaterThan(0);
			expect(layout.y(spool.arborRadiusMm)).toBeLessThan(layout.height);
			expect(layout.height).toBeLessThanOrEqual(560);
		}
	});
	it('draws thousands of wraps in few elements', () => {
		const layout = sectionLayout(straight, 640, 560);
		const paths = dotPaths(wrapRows(straight, backing), layout);
		expect(paths.length).toBeLessThanOrEqual(3);
		expect(paths.map(({ d }) => d.split('M').length - 1).reduce((a, b) => a + b, 0)).toBe(949);
	});
	it.each<[string, Spool, Parameters<typeof wrapRows>[1]]>([
		['backing', straight, backing],
		['on a dished spool', dished, { ...backing, innerRadiusMm: 15 }],
		[
			'a tapered line',
			straight,
			{
				innerRadiusMm: 30.5,
				outerRadiusMm: 38,
				turns: 137,
				sections: taperOf({ taper: 'WF', number: 6, density: 'F' })
			}
		],
		['a single wrap', straight, { ...backing, outerRadiusMm: 19.5, turns: 1 }]
	])('drawn small, %s: as many dashes as wraps, each where it is', (_, spool, layer) => {
		const frame = { scale: 2.9, middlePx: 100, y: (radius: number) => 200 - radius * 2.9 };
		const rows = wrapRows(spool, layer);
		const dots: string[] = [];
		for (const { d, dashes } of rowPaths(rows, frame))
			for (const [, x, y, length] of d.matchAll(/M(\S+) (\S+?)h(\S+?)(?=M|$)/g)) {
				const pitch = Number(dashes!.split(' ')[1]);
				for (let at = 0; at <= Number(length); at += pitch) dots.push(`${Math.round(Number(x) + at)} ${y}`);
			}
		const wanted = rows.flatMap(({ acrossMm, radiusMm }) =>
			acrossMm.map(
				(across) =>
					`${Math.round(Number((100 + across * 2.9).toFixed(2)))} ${Number((200 - radiusMm * 2.9).toFixed(2))}`
			)
		);
		expect(dots).toHaveLength(wanted.length);
		expect(dots).toHaveLength(Math.round(layer.turns));
		// Rounding moves one by a pixel at most, and seldom.
		const placed = new Set(dots);
		expect(wanted.filter((one) => !placed.has(one)).length).toBeLessThan(0.05 * wanted.length + 1);
	});
	it('closes its outlines', () => {
		const layout = sectionLayout(dished, 640, 560);
		for (const path of [metalPath(dished, layout), layerPath(dished, 20, 30, layout)])
			expect(path).toMatch(/^M[^MNaZ]+Z$/);
	});
	it('a gap can be dragged from the rim to the arbor', () => {
		expect(gapBounds(straight)).toEqual({ low: 0, high: 22 });
		expect(
			ruleTicks(straight, 'mm')
				.filter(({ label }) => label)
				.map(({ label }) => label)
		).toEqual(['40', '50', '60', '70', '80']);
		expect(ruleTicks(straight, 'in').flatMap(({ label }) => label ?? [])).toEqual(['1½', '2', '2½', '3']);
	});
});
