import { spaceOf } from '$lib/core';
import { describe, expect, it } from 'vitest';
import { bulkBar, bulkRings } from './bulk';

const spool = { rimDiameterMm: 120, arborDiameterMm: 40, widthMm: 80 };
const left = (value: number) => ({
	leftMm: { value, range: { low: 0.9 * value, high: 1.1 * value } },
	spaceMm2: spaceOf(0.48)
});
const cut = (id: string, lengthMm: number) => ({ id, label: id, lengthMm });

describe('the drawing of a bulk spool', () => {
	it('is to scale: rings hold the backing that they stand for', () => {
		const entry = left(800_000);
		const { rest, cuts, soft } = bulkRings(entry, spool, [cut('a', 150_000), cut('b', 90_000)]);
		const lengthOf = ({ innerMm, outerMm }: { innerMm: number; outerMm: number }): number =>
			(Math.PI * (outerMm ** 2 - innerMm ** 2) * 80) / entry.spaceMm2;
		expect(cuts.map((ring) => Math.round(lengthOf(ring)))).toEqual([150_000, 90_000]);
		expect(lengthOf(rest)).toBeCloseTo(560_000, 3);
		// The first is cut from the outside, and each begins where the one before ended.
		expect(cuts[0]!.innerMm).toBe(cuts[1]!.outerMm);
		expect(cuts[1]!.innerMm).toBe(rest.outerMm);
		expect(rest.innerMm).toBe(20);
		expect(soft.innerMm).toBeLessThan(cuts[0]!.outerMm);
		expect(soft.outerMm).toBeGreaterThan(cuts[0]!.outerMm);
	});

	it('never draws over the rim, or less than nothing', () => {
		expect(bulkRings(left(3_300_000), spool, []).soft.outerMm).toBe(60);
		const { rest, cuts } = bulkRings(left(50_000), spool, [cut('a', 80_000)]);
		expect(rest).toEqual({ innerMm: 20, outerMm: 20 });
		expect(cuts[0]!.innerMm).toBe(20);
	});

	it('is a bar where no spool was measured, cut from its end', () => {
		expect(bulkBar(left(60_000), [cut('a', 25_000), cut('b', 50_000)])).toEqual({
			rest: 0,
			cuts: [
				{ cut: cut('a', 25_000), from: 35_000, to: 60_000 },
				{ cut: cut('b', 50_000), from: 0, to: 35_000 }
			]
		});
	});
});
