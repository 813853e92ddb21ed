import { describe, expect, it } from 'vitest';
import { taperOf } from '../line/class';
import { level } from '../line/sections';
import { MAX_LAY_EFFICIENCY } from '../packing/packing';
import { straightSpool } from '../spool';
import { STRAIGHT, spoolFrom, value } from '../testing';
import { castLengthMm } from './cast';
import { matchMatrix, matchPair, sharedBacking } from './match';
import { runoutOf } from './runout';
import { solveFit, surfaceForGap } from './solve';
import { ROLE_NAMES, ROLES, spaceMm3, type KnownComponent } from './stack';

const spool = spoolFrom(STRAIGHT);
const BACKING = { layEfficiency: 0.9, diameterMm: 0.48 };
const line = (number: number) => ({
	layEfficiency: 0.88,
	sections: taperOf({ taper: 'WF', number, density: 'F' })
});

describe('roles', () => {
	it('are called in a sentence what they are called', () => {
		for (const role of ROLES) expect(ROLE_NAMES[role]).toBe(role.replace('-', ' '));
	});
});

describe('the length of a cast', () => {
	it('is leader, head and the bands that went out', () => {
		expect(castLengthMm({ frontMm: 10_000, leaderMm: 3000, bandMm: 2500, bands: 4.5 })).toBe(24_250);
	});
});

describe('a matrix of spools and lines', () => {
	const narrow = value(straightSpool({ rimDiameterMm: 62, arborDiameterMm: 36, widthMm: 18 }));
	it('has the fit of each pair, row by row', () => {
		const running = matchMatrix([spool, narrow], [line(5), line(9)], BACKING, 4);
		const steps: number[] = [];
		let step = running.next();
		for (; !step.done; step = running.next()) steps.push(step.value);
		expect(steps).toEqual([1, 2]);
		[spool, narrow].forEach((on, i) =>
			[line(5), line(9)].forEach((of, j) => {
				const { fits, solved, gapMm, layers } = value(matchPair(on, of, BACKING, 4));
				const cell = (step.value as readonly (readonly unknown[])[])[i]![j];
				expect(cell).toEqual({ fits, backingMm: solved!.lengthMm, gapMm, stopDepthMm: solved!.stopDepthMm });
				expect(layers.map(({ role }) => role)).toEqual(['backing', 'line']);
			})
		);
	});
	it('stops a row at a gap that no spool of it has', () => {
		const running = matchMatrix([spool], [line(5)], BACKING, 40);
		let step = running.next();
		while (!step.done) step = running.next();
		expect(step.value).toEqual([[]]);
	});
	it('shares no backing among no lines', () => {
		expect(() => sharedBacking(spool, [], BACKING)).toThrow(/no lines/);
	});
});

describe('the surface for a gap', () => {
	it('says what the limit is, and where', () => {
		expect(surfaceForGap(spool, 25)).toMatchObject({
			ok: false,
			issues: [{ code: 'gap_leaves_no_room', limitMm: 23, path: ['gapMm'] }]
		});
		const framed = value(
			straightSpool({ rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 21, frameDiameterMm: 90 })
		);
		expect(surfaceForGap(framed, 1)).toMatchObject({
			ok: false,
			issues: [{ code: 'gap_above_rim', limitMm: 3, path: ['gapMm'] }]
		});
		expect(value(surfaceForGap(framed, 3))).toBeCloseTo(42, 9);
		expect(value(surfaceForGap(spool, 0))).toBe(42);
	});
});

describe('a fit at its edges', () => {
	const known = (role: KnownComponent['role'], lengthMm: number, layEfficiency = 0.9): KnownComponent => ({
		role,
		layEfficiency,
		sections: [level(lengthMm, 0.5)]
	});
	it('refuses what cannot lie so densely, wherever it lies; the densest there is is allowed', () => {
		const dense = solveFit(spool, [known('backing', 9000, 1.2), known('line', 9000)], 4);
		expect(dense).toMatchObject({ ok: false, issues: [{ path: ['stack', 0, 'layEfficiency'] }] });
		expect(solveFit(spool, [known('backing', 9000, MAX_LAY_EFFICIENCY)], 4).ok).toBe(true);
	});
	it('of nothing is the bare arbor, and its run takes in what the arbor does', () => {
		const bare = value(solveFit(spool, [], 4));
		expect(bare).toMatchObject({ fits: true, layers: [] });
		expect(bare.gapMm).toBeCloseTo(23, 9);
		expect(runoutOf(spool, bare, [])(5000)).toMatchObject({ component: undefined, dragFactor: 1 });
	});
	it('that comes out at nothing at all still fits, and keeps its gap', () => {
		const over = known('line', 20_000);
		const gapMm = value(solveFit(spool, [over], 0)).gapMm;
		const open = { role: 'backing', ...BACKING } as const;
		const none = value(solveFit(spool, [open, over], gapMm - 1e-12));
		expect(none.fits).toBe(true);
		expect(none.solved!.lengthMm).toBeLessThan(1e-6);
		expect(none.gapMm).toBeCloseTo(gapMm, 9);
	});
	it('too full by all of its outermost part and more says that it is not enough', () => {
		const tooMuch = value(solveFit(spool, [known('backing', 900_000), known('line', 20_000)], 4));
		expect(tooMuch.excess).toMatchObject({ notEnough: true, lengthMm: 20_000 });
		const little = value(solveFit(spool, [known('backing', 300_000), known('line', 60_000)], 4));
		expect(little.fits).toBe(false);
		expect(little.excess!.notEnough).toBe(false);
		expect(little.excess!.lengthMm).toBeLessThan(60_000);
		// With so much cut off it just touches.
		const cut = known('line', 60_000 - little.excess!.lengthMm);
		expect(value(solveFit(spool, [known('backing', 300_000), cut], 4)).gapMm).toBeCloseTo(0, 3);
	});
	it('a strand of open length takes no room until it is found', () => {
		expect(spaceMm3({ role: 'backing', ...BACKING })).toBe(0);
	});
});
