import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fromGrams, toMm } from '../units/units';
import {
	bellyDiameterMm,
	DENSITIES,
	formatLineClass,
	parseLineClass,
	shortestLengthMm,
	STANDARD_GRAINS,
	taperOf,
	type Density,
	type LineClass,
	type Taper
} from './class';
import { BACKING_MATERIALS, findMaterial } from './material';
import { headOf, level, massG, sectionVolumeMm3, totalLengthMm, totalVolumeMm3 } from './sections';
import { cutFromRear } from '../testing';

const TAPER_FIRST_FT = 30;
const classes = ['WF', 'DT', 'L'].flatMap((taper) =>
	['F', 'I', 'S'].flatMap((density) =>
		STANDARD_GRAINS.map((grains, i) => ({
			grains,
			line: { taper: taper as Taper, number: i + 1, density: density as Density }
		}))
	)
);

/** The front of a line as it is put on the scale: level tip off, then 30 ft. */
function weighed(line: LineClass): number {
	const sections = taperOf(line);
	const tipMm = line.taper === 'L' ? 0 : sections.at(-1)!.lengthMm;
	const frontFirst = [...sections].reverse().map((s) => ({
		...s,
		startDiameterMm: s.endDiameterMm,
		endDiameterMm: s.startDiameterMm
	}));
	const withoutTip = cutFromRear(frontFirst, tipMm);
	const rest = cutFromRear(withoutTip, toMm(TAPER_FIRST_FT, 'ft'));
	const { gPerCm3 } = DENSITIES[line.density];
	return fromGrams(massG(withoutTip, gPerCm3) - massG(rest, gPerCm3), 'gr');
}

describe('line classes, against the AFTMA 1961 / AFFTA line-weight standard', () => {
	it('has its weights', () => {
		expect(STANDARD_GRAINS).toEqual([
			60, 80, 100, 120, 140, 160, 185, 210, 240, 280, 330, 380, 450, 500, 550
		]);
	});
	it('every class weighs its grains over the first 30 ft without the tip', () => {
		for (const { grains, line } of classes)
			expect(weighed(line), formatLineClass(line)).toBeCloseTo(grains, 6);
	});
	it('a level line has the diameter of d = √(4m/(πρL))', () => {
		const line: LineClass = { taper: 'L', number: 6, density: 'F' };
		const kg = 160 * 64.798_91e-6;
		const metres = Math.sqrt((4 * kg) / (Math.PI * 880 * 9.144));
		expect(bellyDiameterMm(line)).toBeCloseTo(metres * 1000, 9);
	});
	it('a floater is thicker than a sinker, a heavy line than a light one', () => {
		for (const { line } of classes.filter(({ line }) => line.number < 15)) {
			expect(bellyDiameterMm({ ...line, number: line.number + 1 })).toBeGreaterThan(bellyDiameterMm(line));
			expect(bellyDiameterMm({ ...line, density: 'F' })).toBeGreaterThanOrEqual(bellyDiameterMm(line));
		}
	});
	it('keeps the length asked for, down to its head', () => {
		for (const { line } of classes) {
			expect(totalLengthMm(taperOf(line, 25_000))).toBeCloseTo(25_000, 6);
			expect(totalLengthMm(taperOf(line, shortestLengthMm(line)))).toBeCloseTo(shortestLengthMm(line), 6);
		}
	});
});

describe('parseLineClass', () => {
	it.each([
		['WF6F', 'WF6F'],
		['wf-6-f', 'WF6F'],
		[' DT #5 F ', 'DT5F'],
		['L15S', 'L15S']
	])('reads %j', (text, code) => {
		const read = parseLineClass(text);
		expect(read.ok && formatLineClass(read.value)).toBe(code);
	});
	it.each(['', 'WF', 'WF0F', 'WF16F', 'XX5F', 'WF6', 'WF6Q', 'WF6F extra'])('refuses %j', (text) => {
		expect(parseLineClass(text)).toMatchObject({ ok: false, issues: [{ code: 'unknown_line_class' }] });
	});
});

describe('sections', () => {
	it('a frustum holds πL(d₀² + d₀d₁ + d₁²)/12: a cone, a cylinder', () => {
		expect(sectionVolumeMm3({ lengthMm: 9, startDiameterMm: 0, endDiameterMm: 4 })).toBeCloseTo(
			12 * Math.PI,
			9
		);
		expect(sectionVolumeMm3(level(10, 2))).toBeCloseTo(10 * Math.PI, 9);
	});
	it('cut anywhere, the two parts are the whole', () => {
		const line = taperOf({ taper: 'WF', number: 7, density: 'F' });
		const whole = totalVolumeMm3(line);
		fc.assert(
			fc.property(fc.double({ min: 0, max: totalLengthMm(line), noNaN: true }), (cutMm) => {
				const kept = cutFromRear(line, cutMm);
				expect(totalLengthMm(kept)).toBeCloseTo(totalLengthMm(line) - cutMm, 6);
				let [left, off] = [cutMm, 0];
				for (const section of line) {
					const taken = Math.min(Math.max(left, 0), section.lengthMm);
					off += sectionVolumeMm3(headOf(section, taken), taken);
					left -= section.lengthMm;
				}
				expect(off + totalVolumeMm3(kept)).toBeCloseTo(whole, 5);
			})
		);
	});
});

describe('backing materials', () => {
	it('each has a diameter, a spread and where they are from', () => {
		for (const { diameterMm, diameterSpread, source } of BACKING_MATERIALS) {
			expect(diameterMm).toBeGreaterThan(0.2);
			expect(diameterSpread).toBeGreaterThan(0);
			expect(source).toContain('common practice');
		}
	});
	it('is found whatever its case and hyphens', () => {
		expect(findMaterial('Polyester_20')).toMatchObject({ ok: true, value: { slug: 'polyester-20' } });
		expect(findMaterial('gelspun50')).toMatchObject({ ok: true, value: { slug: 'gel-spun-50' } });
		expect(findMaterial('string')).toMatchObject({ ok: false, issues: [{ code: 'unknown_material' }] });
	});
});
describe('a code that leaves something out', () => {
	const usual = { taper: 'DT', density: 'I' } as const;
	it('has the rest as it was, where that is known, and is refused where it is not', () => {
		expect(parseLineClass('7', usual)).toEqual({ ok: true, value: { taper: 'DT', number: 7, density: 'I' } });
		expect(parseLineClass('wf 7', usual)).toMatchObject({ value: { taper: 'WF', density: 'I' } });
		expect(parseLineClass('#7 S', usual)).toMatchObject({ value: { taper: 'DT', density: 'S' } });
		expect(parseLineClass('16', usual).ok).toBe(false);
		for (const text of ['7', 'WF7', '7F', '']) expect(parseLineClass(text).ok).toBe(false);
	});
});
