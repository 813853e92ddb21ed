import { describe, expect, it } from 'vitest';
import { DENSITIES, STANDARD_GRAINS, taperOf } from './class';
import { level, massG, totalLengthMm, totalVolumeMm3 } from './sections';
import { diameterOfMass, parseStrand } from './strand';
import { readTaperTable } from './table';
import { classOf, frontOf, grainsOf30ft, nearestClass, scaleToMass, toleranceGrains } from './taper';

const NYLON = { gPerCm3: 1.14, share: 0.02 };
const WF6 = taperOf({ taper: 'WF', number: 6, density: 'F' });

describe('a strand typed in any way', () => {
	it.each([
		['0.48 mm', 0.48, 'calipers'],
		['0.019 in', 0.4826, 'calipers'],
		['0.48', 0.48, 'calipers'],
		['20 wraps in 9.6 mm', 0.48, 'wraps'],
		['20 wraps 9.6', 0.48, 'wraps'],
		['10 turns over 1/4 in', 0.635, 'wraps'],
		['2 g in 10 m', Math.sqrt(8 / (Math.PI * 1.14 * 10)), 'weighed'],
		['30.86472 gr in 10 m', Math.sqrt(8 / (Math.PI * 1.14 * 10)), 'weighed']
	] as const)('%s', (typed, diameterMm, way) => {
		const read = parseStrand(typed, 'mm', NYLON);
		if (!read.ok) throw new Error(JSON.stringify(read.issues));
		expect(read.value.diameterMm).toBeCloseTo(diameterMm, 5);
		expect(read.value.way).toBe(way);
		expect(read.value.share).toBeGreaterThan(0);
	});
	it.each(['', 'thin', '20 wraps in', '0 wraps in 3 mm', 'two wraps in 3 mm', '2 g in 0 m'])(
		'refuses "%s"',
		(typed) => {
			expect(parseStrand(typed, 'mm', NYLON).ok).toBe(false);
		}
	);
	it('more wraps, and more grams, are surer', () => {
		const share = (typed: string): number => {
			const read = parseStrand(typed, 'mm', NYLON);
			return read.ok ? read.value.share : NaN;
		};
		expect(share('40 wraps in 19.2 mm')).toBeLessThan(share('20 wraps in 9.6 mm'));
		expect(share('4 g in 20 m')).toBeLessThan(share('1 g in 5 m'));
	});
	it('a level strand weighs what its diameter says', () => {
		const grams = massG([level(10_000, 0.48)], 0.9);
		expect(diameterOfMass(grams, 10_000, 0.9)).toBeCloseTo(0.48, 9);
	});
});

describe('the weight of the first 30 ft', () => {
	it.each(STANDARD_GRAINS.map((grains, i) => [i + 1, grains] as const))(
		'#%d weighs %d grains (AFTMA 1961, now AFFTA)',
		(number, grains) => {
			for (const density of ['F', 'I', 'S'] as const) {
				const sections = taperOf({ taper: 'WF', number, density });
				expect(grainsOf30ft(sections, DENSITIES[density].gPerCm3)).toBeCloseTo(grains, 6);
				expect(classOf(sections, density).number).toBe(number);
			}
		}
	);
	it('names the nearest class and whether it is within its tolerance', () => {
		expect(nearestClass(163)).toEqual({ number: 6, offGrains: 3, within: true });
		expect(nearestClass(169)).toEqual({ number: 6, offGrains: 9, within: false });
		expect(nearestClass(20).number).toBe(1);
		expect(nearestClass(900).number).toBe(15);
		expect(toleranceGrains(9)).toBe(8);
	});
	it('takes all of a line that is shorter', () => {
		const short = [level(6000, 1.5)];
		expect(totalLengthMm(frontOf(short, 9144))).toBe(6000);
	});
	it('the front of a taper keeps its diameters', () => {
		const front = frontOf(WF6, 3000);
		expect(totalLengthMm(front)).toBeCloseTo(3000, 9);
		expect(front[0]!.startDiameterMm).toBeCloseTo(WF6.at(-3)!.endDiameterMm, 9);
	});
	it('a weighed line keeps its shape and takes its weight', () => {
		const scaled = scaleToMass(WF6, 25, 0.88);
		expect(massG(scaled, 0.88)).toBeCloseTo(25, 9);
		expect(scaled[2]!.startDiameterMm / scaled[0]!.startDiameterMm).toBeCloseTo(
			WF6[2]!.startDiameterMm / WF6[0]!.startDiameterMm,
			9
		);
		expect(totalVolumeMm3(scaled)).toBeCloseTo(25_000 / 0.88, 6);
	});
});

describe("a maker's taper table", () => {
	const units = { long: 'ft', small: 'mm' } as const;
	const ROWS = [
		{ length: '51 ft', start: '0.90 mm', end: '0.90 mm' },
		{ length: '6 ft', start: '0.90 mm', end: '1.25 mm' }
	];
	const read = (cells: string[][], frontFirst = false) => {
		const table = readTaperTable(cells, units, frontFirst);
		if (!table.ok) throw new Error(JSON.stringify(table.issues));
		return table.value;
	};

	it('of lengths, with and without a header, units in the header', () => {
		expect(
			read([
				['51', '0.90', '0.90'],
				['6', '0.90', '1.25']
			])
		).toEqual(ROWS);
		expect(
			read([
				['Length (ft)', 'Start (mm)', 'End (mm)'],
				['51', '0.90', '0.90'],
				['6', '0.90', '1.25'],
				['', '', '']
			])
		).toEqual(ROWS);
		expect(
			read([
				['Section length [m]', 'rear', 'front'],
				['2', '1', '1.2']
			])
		).toEqual([{ length: '2 m', start: '1 mm', end: '1.2 mm' }]);
	});
	it('keeps a unit that was typed in a cell', () => {
		expect(read([['2 m', '0.035 in', '1']])).toEqual([{ length: '2 m', start: '0.035 in', end: '1 mm' }]);
	});
	it('of places from and to, and of points', () => {
		expect(
			read([
				['from', 'to', 'start', 'end'],
				['0', '51', '0.90', '0.90'],
				['51', '57', '0.90', '1.25']
			])
		).toEqual([
			{ ...ROWS[0], length: '15544.8 mm' },
			{ ...ROWS[1], length: '1828.8 mm' }
		]);
		expect(
			read([
				['distance (ft)', 'diameter (mm)'],
				['0', '0.90'],
				['51', '0.90'],
				['57', '1.25']
			])
		).toEqual([
			{ ...ROWS[0], length: '15544.8 mm' },
			{ ...ROWS[1], length: '1828.8 mm' }
		]);
	});
	it('front end first is turned round', () => {
		expect(
			read(
				[
					['6', '1.25', '0.90'],
					['51', '0.90', '0.90']
				],
				true
			)
		).toEqual(ROWS);
	});
	it.each([
		[
			'a gap',
			[
				['0', '10', '1', '1'],
				['12', '20', '1', '1']
			],
			{ code: 'taper_gap', row: 2, path: [2] }
		],
		[
			'an overlap',
			[
				['0', '10', '1', '1'],
				['8', '20', '1', '1']
			],
			{ code: 'taper_gap', row: 2, path: [2] }
		],
		[
			'going back',
			[
				['0', '1'],
				['10', '1'],
				['5', '1']
			],
			{ code: 'taper_not_forward', row: 3, path: [3] }
		],
		['a place that is none', [['0', 'far', '1', '1']], { code: 'unreadable_quantity', path: [1] }],
		['one column', [['1'], ['2']], { code: 'taper_unknown_columns' }],
		[
			'other columns',
			[
				['colour', 'price'],
				['1', '2']
			],
			{ code: 'taper_unknown_columns' }
		],
		['nothing', [['', '']], { code: 'taper_unknown_columns' }]
	])('refuses %s', (_, cells, issue) => {
		expect(readTaperTable(cells, units)).toMatchObject({ ok: false, issues: [issue] });
	});
});
