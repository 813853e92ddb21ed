import { describe, expect, it } from 'vitest';
import { solveFit } from '../fit/solve';
import type { KnownComponent } from '../fit/stack';
import { taperOf } from '../line/class';
import { level, totalLengthMm } from '../line/sections';
import { DISHED, spoolFrom, STRAIGHT, value } from '../testing';
import { lengthWeighed } from './weighing';
import { traverseAt, turnsOfLength, windingAfter } from './winding';

describe('weighing the supply', () => {
	const strand = { diameterMm: 0.48, diameterShare: 0.05, density: { gPerCm3: 0.9, share: 0.08 } };
	it('10 m of 0.48 mm at 0.9 g/cm³ weigh 1.629 g: so many grams, so many metres (mass = ρ·π/4·d²·L)', () => {
		const { lengthMm, spreadMm } = value(lengthWeighed({ ...strand, beforeG: 101.629, afterG: 100 }));
		expect(lengthMm).toBeCloseTo(10_000, -1);
		expect(spreadMm / lengthMm).toBeCloseTo(Math.hypot(0.14142 / 1.629, 0.08, 0.1), 3);
	});
	it('a spool that grew heavier is refused', () => {
		expect(lengthWeighed({ ...strand, beforeG: 90, afterG: 95 })).toMatchObject({ ok: false });
	});
	it('the turns of a length are those after which that length is on', () => {
		const spool = spoolFrom(STRAIGHT);
		const line: KnownComponent = {
			role: 'line',
			layEfficiency: 0.88,
			sections: taperOf({ taper: 'WF', number: 6, density: 'F' })
		};
		for (const n of [0, 20, 80]) {
			const { lengthMm } = windingAfter(spool, 30, line, n);
			expect(turnsOfLength(spool, 30, line, lengthMm)).toBeCloseTo(n, 6);
		}
	});
});

describe('the winding while it goes on', () => {
	const LINE: KnownComponent = {
		role: 'line',
		layEfficiency: 0.88,
		sections: taperOf({ taper: 'WF', number: 6, density: 'F' })
	};
	const BACKING: KnownComponent = { role: 'backing', layEfficiency: 0.9, sections: [level(120_000, 0.48)] };
	const CASES = [
		['backing, straight', STRAIGHT, BACKING, undefined],
		['backing, dished', DISHED, BACKING, undefined],
		['a tapered line over backing', STRAIGHT, LINE, BACKING]
	] as const;

	it.each(CASES)(
		'ends where the fit does, and is half way at half the turns: %s',
		(_, source, part, under) => {
			const spool = spoolFrom(source);
			const layers = value(solveFit(spool, under ? [under, part] : [part], 0)).layers;
			const layer = layers.at(-1)!;
			const after = (n: number) => windingAfter(spool, layer.innerRadiusMm, part, n);
			expect(after(0)).toMatchObject({ lengthMm: 0, share: 0 });
			expect(after(layer.turns).depthMm).toBeCloseTo(layer.depthMm, 6);
			expect(after(layer.turns).lengthMm).toBeCloseTo(layer.lengthMm, 3);
			expect(after(layer.turns).turnsLeft).toBeCloseTo(0, 6);
			expect(after(2 * layer.turns).lengthMm).toBeCloseTo(totalLengthMm(part.sections), 3);
			const half = after(layer.turns / 2);
			expect(half.share).toBeCloseTo(0.5, 9);
			expect(half.turnsLeft).toBeCloseTo(layer.turns / 2, 6);
			expect(half.retrieveMm).toBeCloseTo(2 * Math.PI * half.surface.radiusMm, 9);
		}
	);

	it('turn by turn the length is the sum of the circles, to 0.1 %', () => {
		const spool = spoolFrom(STRAIGHT);
		let lengthMm = 0;
		for (let n = 0; n < 600; n++) lengthMm += windingAfter(spool, 19, BACKING, n + 0.5).retrieveMm;
		expect(Math.abs(windingAfter(spool, 19, BACKING, 600).lengthMm / lengthMm - 1)).toBeLessThan(1e-3);
	});

	it('a hand that lays looser stands higher after the same turns', () => {
		const spool = spoolFrom(STRAIGHT);
		expect(windingAfter(spool, 19, BACKING, 500, 0.8).depthMm).toBeLessThan(
			windingAfter(spool, 19, BACKING, 500).depthMm
		);
	});

	it('the traverse goes over and back, a sweep being width over diameter', () => {
		const spool = spoolFrom(STRAIGHT);
		const at = (n: number) => traverseAt(spool, 19, BACKING, windingAfter(spool, 19, BACKING, n));
		const perSweep = 21 / 0.48;
		expect(at(0)).toMatchObject({ sweep: 0, toward: 'far' });
		expect(at(0).turnsPerSweep).toBeCloseTo(perSweep, 9);
		expect(at(perSweep / 2).across).toBeCloseTo(0.5, 9);
		expect(at(1.25 * perSweep)).toMatchObject({ sweep: 1, toward: 'near' });
		expect(at(1.25 * perSweep).across).toBeCloseTo(0.75, 9);
		expect(at(10.1 * perSweep).sweep).toBe(10);
	});
});
