import { describe, expect, it } from 'vitest';
import { guessColumns, unitIn } from './columns';
import { lineKey, readList } from './read-list';

const around = { units: 'yd-mm', today: '2026-12-01', there: { spools: ['Beck reel'], lines: [] } } as const;

describe('the columns of a list', () => {
	it('are guessed by the words of their headings, each for one thing', () => {
		expect(guessColumns('reels', ['Reel', 'Rim (mm)', 'Arbour', 'Width between flanges', 'Hand'])).toEqual({
			name: 0,
			rim: 1,
			arbor: 2,
			width: 3,
			hand: 4
		});
		expect(guessColumns('lines', ['line class', 'length_yd', 'bought on', 'days fished'])).toEqual({
			line: 0,
			length: 1,
			came: 2,
			days: 3
		});
		expect(guessColumns('reels', ['Arbor diameter', 'Spool diameter, mm', 'Model'])).toEqual({
			arbor: 0,
			rim: 1,
			name: 2
		});
		expect(guessColumns('reels', ['', 'x', 'y'])).toEqual({});
	});

	it('carry their unit in the heading', () => {
		for (const [heading, unit] of [
			['Rim (mm)', 'mm'],
			['across_rims_in', 'in'],
			['Length, yards', 'yd'],
			['Width "', 'in'],
			['Rim', undefined]
		] as const)
			expect(unitIn(heading), heading).toBe(unit);
	});
});

describe('a list of reels', () => {
	const table = [
		['Name', 'Rim (in)', 'Arbor', 'Width', 'Hand'],
		['Tarn 6', '3 3/8', '38 mm', '21', 'R'],
		['beck REEL ', '', '', '', ''],
		['', '84', '38', '21', ''],
		['Odd one', '3.3', 'wide', '21', 'both'],
		['', '', '', '', ''],
		['Inside out', '1', '38', '21', 'left'],
		['tarn 6', '3.4', '38', '21', 'left']
	];
	const rows = readList('reels', table, guessColumns('reels', table[0]!), around);

	it('takes units from the cell, the heading, or the person', () => {
		expect(rows[0]!.row).toEqual({
			name: 'Tarn 6',
			hand: 'right',
			rim: '3 3/8 in',
			arbor: '38 mm',
			width: '21 mm',
			frame: ''
		});
		expect(rows[0]).toMatchObject({ number: 2, double: false, issues: [] });
	});

	it('finds what is here already, and what stands in it twice', () => {
		expect(rows.find(({ number }) => number === 3)).toMatchObject({ double: true });
		expect(rows.find(({ number }) => number === 8)).toMatchObject({ double: true });
	});

	it('says what is wrong by row and cell, and passes over empty rows', () => {
		const wrong = rows
			.filter(({ row }) => !row)
			.map(({ number, issues }) => [number, issues.map((one) => one.field)]);
		expect(wrong).toEqual([
			[4, ['name']],
			[5, ['hand', 'arbor']],
			[7, ['arbor']]
		]);
		expect(rows.map(({ number }) => number)).not.toContain(6);
		for (const { issues } of rows) for (const { message } of issues) expect(message).toMatch(/\w{3}/);
	});
});

describe('a list of lines', () => {
	const table = [
		['Line', 'Length', 'Called', 'Coil', 'Came', 'Days out'],
		['WF6F', '30', 'summer', '', '2026-03-01', '12'],
		['dt5f', '', '', 'red tag', '', ''],
		['WF99F', '30', '', '', 'last week', 'many'],
		['WF6F', '30yd', 'Summer', 'blue', '', '']
	];
	const rows = readList('lines', table, guessColumns('lines', table[0]!), {
		...around,
		there: { spools: [], lines: [lineKey('DT5F', '')] }
	});

	it('reads classes, lengths, days and coils', () => {
		expect(rows[0]!.row).toEqual({
			line: { taper: 'WF', number: 6, density: 'F' },
			length: '30 yd',
			name: 'summer',
			coil: 'summer',
			came: '2026-03-01',
			days: 12
		});
		expect(rows[1]!.row).toMatchObject({ coil: 'red tag', came: '2026-12-01', days: null });
		expect(rows.map(({ double }) => double)).toEqual([false, true, false, true]);
	});

	it('says what is wrong by cell', () => {
		expect(rows[2]!.issues.map(({ field }) => field)).toEqual(['line', 'days', 'came']);
	});
});
