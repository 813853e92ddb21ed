import { fail, ok, under, type Result } from '../issues';
import { parseLength } from '../units/parse';
import type { LengthUnit } from '../units/units';

/** A row of a taper table as typed: quantities with any unit. */
export interface TaperRow {
	readonly length: string;
	readonly start: string;
	readonly end: string;
}

/** How the columns of a table are meant: lengths one after another, places from and to, or points. */
type Columns =
	| { kind: 'lengths'; length: number; start: number; end: number }
	| { kind: 'places'; from: number; to: number; start: number; end: number }
	| { kind: 'points'; at: number; diameter: number };

const HEADS = {
	length: /^(length|len|section)/i,
	from: /^(from|begin)/i,
	to: /^(to|until)\b/i,
	at: /^(at|distance|position|place)/i,
	start: /^(start|rear|d0|diameter.?(start|from|1))/i,
	end: /^(end|front|d1|diameter.?(end|to|2))/i,
	diameter: /^(diameter|dia|ø|d)\b/i
} as const;

function columnsOf(header: readonly string[]): Columns | undefined {
	const find = (key: keyof typeof HEADS): number => header.findIndex((cell) => HEADS[key].test(cell.trim()));
	const [length, from, to, at] = [find('length'), find('from'), find('to'), find('at')];
	const [start, end, diameter] = [find('start'), find('end'), find('diameter')];
	if (from >= 0 && to >= 0 && start >= 0 && end >= 0) return { kind: 'places', from, to, start, end };
	if (length >= 0 && start >= 0 && end >= 0) return { kind: 'lengths', length, start, end };
	if (at >= 0 && diameter >= 0) return { kind: 'points', at, diameter };
	return undefined;
}

/** "Length (ft)" names the unit of a whole column. */
const unitIn = (cell: string | undefined, otherwise: LengthUnit): LengthUnit => {
	const named = /[([]\s*(mm|cm|m|in|ft|yd)\s*[)\]]/i.exec(cell ?? '')?.[1]?.toLowerCase();
	return (named as LengthUnit | undefined) ?? otherwise;
};

const isHeader = (row: readonly string[]): boolean =>
	row.every((cell) => !/\d/.test(cell.replace(/d[0-2]/gi, '')));

/** What stands in a cell, its unit made plain. */
const cell = (row: readonly string[], at: number, unit: LengthUnit): string => {
	const text = (row[at] ?? '').trim();
	return /[a-z"'″′]/i.test(text) || text === '' ? text : `${text} ${unit}`;
};

/** Within so much, two places are the same: tables print to the centimetre or the tenth of a foot. */
const SAME_PLACE_MM = 15;

/** Two places along the line, the second further on than the first. */
function readSpan(
	from: string | undefined,
	to: string | undefined,
	unit: LengthUnit,
	row: number
): Result<[number, number]> {
	const [a, b] = [parseLength(from ?? '', unit), parseLength(to ?? '', unit)];
	if (!a.ok) return { ok: false, issues: under(a.issues, row) };
	if (!b.ok) return { ok: false, issues: under(b.issues, row) };
	return b.value > a.value ? ok([a.value, b.value]) : fail({ code: 'taper_not_forward', row }, [row]);
}

function rowsOfPlaces(
	cells: readonly (readonly string[])[],
	{ from, to, start, end }: Extract<Columns, { kind: 'places' }>,
	[long, small]: readonly [LengthUnit, LengthUnit]
): Result<TaperRow[]> {
	const rows: TaperRow[] = [];
	let reached: number | undefined;
	for (const [i, row] of cells.entries()) {
		const span = readSpan(row[from], row[to], long, i + 1);
		if (!span.ok) return span;
		const [beginsMm, endsMm] = span.value;
		if (reached !== undefined && Math.abs(beginsMm - reached) > SAME_PLACE_MM)
			return fail({ code: 'taper_gap', row: i + 1, fromMm: reached, toMm: beginsMm }, [i + 1]);
		reached = endsMm;
		const mm = Number((endsMm - beginsMm).toFixed(3));
		rows.push({ length: `${mm} mm`, start: cell(row, start, small), end: cell(row, end, small) });
	}
	return ok(rows);
}

function rowsOfPoints(
	cells: readonly (readonly string[])[],
	{ at, diameter }: Extract<Columns, { kind: 'points' }>,
	[long, small]: readonly [LengthUnit, LengthUnit]
): Result<TaperRow[]> {
	const rows: TaperRow[] = [];
	for (let i = 1; i < cells.length; i++) {
		const span = readSpan(cells[i - 1]![at], cells[i]![at], long, i + 1);
		if (!span.ok) return span;
		const mm = Number((span.value[1] - span.value[0]).toFixed(3));
		rows.push({
			length: `${mm} mm`,
			start: cell(cells[i - 1]!, diameter, small),
			end: cell(cells[i]!, diameter, small)
		});
	}
	return rows.length > 0 ? ok(rows) : fail({ code: 'taper_unknown_columns' });
}

/** What columns without a header can only mean, by their number. */
const COLUMNS_OF: Partial<Record<number, Columns>> = {
	2: { kind: 'points', at: 0, diameter: 1 },
	3: { kind: 'lengths', length: 0, start: 1, end: 2 },
	4: { kind: 'places', from: 0, to: 1, start: 2, end: 3 }
};

function rowsOf(
	cells: readonly (readonly string[])[],
	columns: Columns,
	header: readonly string[] | undefined,
	units: { long: LengthUnit; small: LengthUnit }
): Result<TaperRow[]> {
	const used = (long: number, small: number): readonly [LengthUnit, LengthUnit] => [
		unitIn(header?.[long], units.long),
		unitIn(header?.[small], units.small)
	];
	switch (columns.kind) {
		case 'places':
			return rowsOfPlaces(cells, columns, used(columns.from, columns.start));
		case 'points':
			return rowsOfPoints(cells, columns, used(columns.at, columns.diameter));
		case 'lengths': {
			const [long, small] = used(columns.length, columns.start);
			return ok(
				cells.map((row) => ({
					length: cell(row, columns.length, long),
					start: cell(row, columns.start, small),
					end: cell(row, columns.end, small)
				}))
			);
		}
	}
}

/**
 * Reads the cells of a maker's taper table, with or without a header: section lengths and their two
 * diameters, places from and to, or points of distance and diameter. Rear end first, unless `frontFirst`.
 *
 * Bare numbers take the unit of their column's header, else `units`. Issues carry the row, counted from 1
 * without the header: `taper_gap`, `taper_not_forward`, `taper_unknown_columns`, those of lengths.
 */
export function readTaperTable(
	table: readonly (readonly string[])[],
	units: { long: LengthUnit; small: LengthUnit },
	frontFirst = false
): Result<TaperRow[]> {
	const filled = table.filter((row) => row.some((text) => text.trim() !== ''));
	const header = filled[0] && isHeader(filled[0]) ? filled[0] : undefined;
	const cells = header ? filled.slice(1) : filled;
	const columns = header ? columnsOf(header) : COLUMNS_OF[Math.max(0, ...cells.map((row) => row.length))];
	if (!columns || cells.length === 0) return fail({ code: 'taper_unknown_columns' });
	const rows = rowsOf(cells, columns, header, units);
	if (!rows.ok || !frontFirst) return rows;
	return ok(rows.value.reverse().map(({ length, start, end }) => ({ length, start: end, end: start })));
}
