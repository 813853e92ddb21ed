import { unit as mathUnit } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { formatFraction, formatLength, formatNumber, formatRange } from './format';
import { parseLength, parseMass, withUnit } from './parse';
import { fromGrams, fromMm, toGrams, toMm } from './units';

describe('conversion factors, against NIST SP 811 appendix B', () => {
	it.each([
		['in', 25.4],
		['ft', 304.8],
		['yd', 914.4],
		['m', 1000],
		['cm', 10]
	] as const)('1 %s is exactly %d mm', (name, mm) => {
		expect(toMm(1, name)).toBe(mm);
		expect(fromMm(mm, name)).toBe(1);
	});

	it('1 grain is 64.798 91 mg; 7000 grains are one pound of 453.592 37 g', () => {
		expect(toGrams(1, 'gr')).toBe(0.064_798_91);
		expect(toGrams(7000, 'gr')).toBeCloseTo(453.592_37, 9);
		expect(fromGrams(453.592_37, 'gr')).toBeCloseTo(7000, 9);
	});
});

describe('lengths, against the units of mathjs', () => {
	it.each(['inch', 'foot', 'yard', 'meter', 'centimeter', 'millimeter'])('%s agrees', (name) => {
		const read = parseLength(`7.25 ${name === 'foot' ? 'feet' : name}`, 'mm');
		expect(read).toMatchObject({ ok: true });
		expect(read.ok && read.value).toBeCloseTo(mathUnit(7.25, name).toNumber('mm'), 9);
	});
});

describe('what people type', () => {
	it.each([
		['3 3/8 in', 85.725],
		['3-3/8"', 85.725],
		['3⅜″', 85.725],
		['⅞ in', 22.225],
		['7/8in', 22.225],
		['85mm', 85],
		['85', 85],
		['8,5 cm', 85],
		['.5 in', 12.7],
		['5.', 5],
		['100 yd', 91_440],
		['100yds.', 91_440],
		['5 ft 6 in', 1676.4],
		[`5'6"`, 1676.4],
		['5′ 6½″', 1689.1],
		['27.4 METRES', 27_400],
		['-3 mm', -3],
		['− 3 mm', -3]
	])('%s', (typed, mm) => {
		const read = parseLength(typed, 'mm');
		expect(read.ok && read.value).toBeCloseTo(mm, 9);
	});

	it.each([
		['', 'missing_value'],
		['   ', 'missing_value'],
		['abc', 'unreadable_quantity'],
		['3/0 in', 'unreadable_quantity'],
		['5 ft 6', 'unreadable_quantity'],
		['84 mm 2 in', 'unreadable_quantity'],
		['6 in 5 ft', 'unreadable_quantity'],
		['NaN', 'unreadable_quantity'],
		['Infinity', 'unreadable_quantity'],
		['1,000 yd', 'ambiguous_comma'],
		['5 furlongs', 'unknown_unit'],
		['7 constructor', 'unknown_unit'],
		['1e5 mm', 'unknown_unit']
	])('%j is refused as %s', (typed, code) => {
		expect(parseLength(typed, 'mm')).toMatchObject({ ok: false, issues: [{ code }] });
	});

	it('reads grains and grams', () => {
		const grains = parseMass('7 grains', 'g');
		expect(grains.ok && grains.value).toBeCloseTo(7 * 0.064_798_91, 12);
		expect(parseMass('12', 'g')).toEqual({ ok: true, value: 12 });
		expect(parseMass('3 mm', 'g')).toMatchObject({ ok: false, issues: [{ code: 'unknown_unit' }] });
	});
});

describe('withUnit', () => {
	it('gives a bare number its unit and leaves the rest as typed', () => {
		expect(withUnit('84', 'mm')).toBe('84 mm');
		expect(withUnit('3 3/8', 'in')).toBe('3 3/8 in');
		expect(withUnit('3 3/8 in', 'mm')).toBe('3 3/8 in');
		expect(withUnit('nonsense', 'mm')).toBe('nonsense');
		expect(withUnit('', 'mm')).toBe('');
	});
});

describe('format', () => {
	it('rounds to what the unit can honestly show', () => {
		expect(formatLength(11.428, 'mm')).toBe('11.4 mm');
		expect(formatLength(11.428, 'in')).toBe('0.45 in');
		expect(formatLength(147_830, 'yd')).toBe('162 yd');
		expect(formatRange(10.61, 12.19, 'mm')).toBe('10.6–12.2');
	});
	it.each([
		[0, '0'],
		[25.4 * (17 / 32), '17/32'],
		[25.4 * 1.375, '1 3/8'],
		[25.4 * 0.51, '1/2'],
		[25.4 * 1.99, '2'],
		[25.4 * 0.016, '1/32'],
		[25.4 * 0.015, '0'],
		[-25.4 / 4, '−1/4']
	])('%d mm stand on a rule as %s', (mm, text) => {
		expect(formatFraction(mm)).toBe(text);
	});
	it('what stands on a rule is read back within half a mark', () => {
		for (let mm = 0.5; mm < 120; mm += 0.37) {
			const read = parseLength(`${formatFraction(mm)} in`, 'mm');
			expect(read.ok && Math.abs(read.value - mm)).toBeLessThanOrEqual(25.4 / 64 + 1e-9);
		}
	});
	it('has a true minus and no minus zero', () => {
		expect(formatNumber(-1.25, 1)).toBe('−1.3');
		expect(formatNumber(-0.01, 1)).toBe('0.0');
	});
});
