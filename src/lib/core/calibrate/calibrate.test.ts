import { describe, expect, it } from 'vitest';
import { solveFit, type Fit } from '../fit/solve';
import type { Component } from '../fit/stack';
import { parseLineClass, taperOf } from '../line/class';
import { findMaterial } from '../line/material';
import { crossSectionMm2, totalVolumeMm3, type LineSection } from '../line/sections';
import { BACKING_LAY_EFFICIENCY, LINE_LAY_EFFICIENCY } from '../packing/packing';
import { toMm } from '../units/units';
import { RATED_GAP_MM, weighRatings, type Rating } from './ratings';
import { ratedSource, spoolOf, type KnownSpool, type SpoolSource } from './source';

const line = (text: string): LineSection[] => {
	const parsed = parseLineClass(text);
	if (!parsed.ok) throw new Error(text);
	return taperOf(parsed.value);
};
const diameter = (slug: string): number => {
	const material = findMaterial(slug);
	if (!material.ok) throw new Error(slug);
	return material.value.diameterMm;
};
const rating = (lineClass: string, slug: string, yards: number): Rating => ({
	line: line(lineClass),
	backingDiameterMm: diameter(slug),
	backingLengthMm: toMm(yards, 'yd')
});
const known = (source: SpoolSource): KnownSpool => {
	const spool = spoolOf(source);
	if (!spool.ok) throw new Error(JSON.stringify(spool.issues));
	return spool.value;
};
const fitOn = (source: SpoolSource, lineClass: string, slug: string, gapMm = RATED_GAP_MM): Fit => {
	const stack: Component[] = [
		{ role: 'backing', layEfficiency: BACKING_LAY_EFFICIENCY, diameterMm: diameter(slug) },
		{ role: 'line', layEfficiency: LINE_LAY_EFFICIENCY, sections: line(lineClass) }
	];
	const fit = solveFit(known(source).spool, stack, gapMm);
	if (!fit.ok) throw new Error(JSON.stringify(fit.issues));
	return fit.value;
};
const yards = (fit: Fit): number => fit.solved!.lengthMm / toMm(1, 'yd');
const BOX = { ratings: [rating('WF6F', 'polyester-20', 100)], makersAllowance: 0.1 };

describe('a rated spool', () => {
	it.each([
		['nothing measured', {}],
		['rim measured', { rimDiameterMm: 88 }],
		['width measured', { widthMm: 24 }],
		['rim and width measured', { rimDiameterMm: 84, widthMm: 21 }]
	])('gives its own figure back, less the allowance: %s', (_, measures) => {
		expect(yards(fitOn(ratedSource({ ...BOX, ...measures }), 'WF6F', 'polyester-20'))).toBeCloseTo(90, 6);
	});

	it('takes another line and backing from its bulk C = aL + V', () => {
		const a = crossSectionMm2(diameter('polyester-20'));
		const bulk = a * toMm(90, 'yd') + totalVolumeMm3(line('WF6F'));
		const byBulk =
			(bulk - totalVolumeMm3(line('WF5F'))) / crossSectionMm2(diameter('gel-spun-30')) / toMm(1, 'yd');
		// Line and braid lie a little differently (0.88 against 0.90): C alone is good to a percent.
		expect(yards(fitOn(ratedSource(BOX), 'WF5F', 'gel-spun-30')) / byBulk).toBeCloseTo(1, 2);
	});

	it('says what it had to estimate', () => {
		expect(known(ratedSource(BOX)).estimated).toEqual(['arbor', 'rim', 'width']);
		expect(known(ratedSource({ ...BOX, rimDiameterMm: 84, widthMm: 21 })).estimated).toEqual(['arbor']);
	});

	it('ratings and measures agree: a measured spool rated by its own fit comes out with its arbor', () => {
		const measured: SpoolSource = { kind: 'measured', rimDiameterMm: 84, arborDiameterMm: 38, widthMm: 21 };
		const fit = fitOn(measured, 'WF6F', 'polyester-20');
		const own: Rating = { ...rating('WF6F', 'polyester-20', 0), backingLengthMm: fit.solved!.lengthMm };
		const rated = known(ratedSource({ ratings: [own], makersAllowance: 0, rimDiameterMm: 84, widthMm: 21 }));
		expect(2 * rated.spool.arborRadiusMm).toBeCloseTo(38, 6);
	});

	it('refuses a figure no spool of that rim and width could hold', () => {
		expect(spoolOf(ratedSource({ ...BOX, rimDiameterMm: 60, widthMm: 12 }))).toMatchObject({
			ok: false,
			issues: [{ code: 'rating_beyond_measures' }]
		});
	});

	it('takes a larger gap off the backing', () => {
		expect(yards(fitOn(ratedSource(BOX), 'WF6F', 'polyester-20', 6))).toBeLessThan(80);
	});
});

describe('several ratings', () => {
	const WF5 = rating('WF5F', 'polyester-20', 120);
	const same = (lineClass: string, slug: string): Rating => {
		const space =
			totalVolumeMm3(WF5.line) / LINE_LAY_EFFICIENCY +
			(crossSectionMm2(WF5.backingDiameterMm) * WF5.backingLengthMm) / BACKING_LAY_EFFICIENCY;
		const left = space - totalVolumeMm3(line(lineClass)) / LINE_LAY_EFFICIENCY;
		const backingDiameterMm = diameter(slug);
		return {
			line: line(lineClass),
			backingDiameterMm,
			backingLengthMm: (left * BACKING_LAY_EFFICIENCY) / crossSectionMm2(backingDiameterMm)
		};
	};

	it('that agree deviate by nothing', () => {
		const weighed = weighRatings([WF5, same('WF6F', 'polyester-20'), same('WF7F', 'polyester-30')], 0);
		weighed.deviations.forEach((deviation) => expect(deviation).toBeCloseTo(0, 9));
		expect(weighed.oddIndex).toBeUndefined();
		expect(weighed.undecided).toBe(false);
	});
	it('name the odd one out of three and leave it out', () => {
		const odd = { ...WF5, backingLengthMm: 3 * WF5.backingLengthMm };
		const weighed = weighRatings([WF5, odd, same('WF6F', 'polyester-20')], 0);
		expect(weighed.oddIndex).toBe(1);
		expect(weighed.spaceMm3).toBeCloseTo(weighRatings([WF5], 0).spaceMm3, 3);
	});
	it('of two that contradict each other, none is named', () => {
		const weighed = weighRatings([WF5, { ...WF5, backingLengthMm: 3 * WF5.backingLengthMm }], 0);
		expect(weighed).toMatchObject({ undecided: true });
		expect(weighed.oddIndex).toBeUndefined();
	});
	it('cannot be none', () => {
		expect(() => weighRatings([], 0)).toThrow(RangeError);
	});
});
