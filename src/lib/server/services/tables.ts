import type { Day } from '$lib/core';
import type { UnitSystem } from '$lib/wording/units';
import type { Knex } from 'knex';
import papa from 'papaparse';
import writeXlsxFile from 'write-excel-file/node';
import { careEventsTable, readingsTable } from './tables/life';
import { spoolsTable, strandsTable, windingsTable } from './tables/rack';
import { ordersTable, stockEventsTable, stockTable } from './tables/shop';
import { Lengths, type Table } from './tables/table';

/** What is kept, as tables for a spreadsheet: a row a thing, the unit in each column's name. Columns only ever come after these. */

/** Each table by its name; `docs/tables.md` says what its columns are. */
export const TABLES = {
	spools: spoolsTable,
	strands: strandsTable,
	windings: windingsTable,
	readings: readingsTable,
	'care-events': careEventsTable,
	orders: ordersTable,
	stock: stockTable,
	'stock-events': stockEventsTable
} as const;
export type TableName = keyof typeof TABLES;
export const isTable = (name: string): name is TableName => Object.hasOwn(TABLES, name);

const tableOf = (db: Knex, name: TableName, units: UnitSystem, today: Day): Promise<Table> =>
	TABLES[name](db, new Lengths(units), today);

/**
 * A table as CSV (RFC 4180, UTF-8, a heading row). A text that a spreadsheet would take for a formula begins with an apostrophe.
 *
 * @param today the day on which jobs are due or not
 */
export async function csvOf(db: Knex, name: TableName, units: UnitSystem, today: Day): Promise<string> {
	const { columns, rows } = await tableOf(db, name, units, today);
	return papa.unparse({ fields: [...columns], data: rows.map((row) => [...row]) }, { escapeFormulae: true });
}

/** A text of more letters than this fits into no cell of a spreadsheet. */
const MOST_LETTERS = 32_767;

/** The same table as a spreadsheet file (Office Open XML). Numbers are numbers, texts are texts and never formulas; the heading stays in sight. */
export async function spreadsheetOf(
	db: Knex,
	name: TableName,
	units: UnitSystem,
	today: Day
): Promise<Uint8Array<ArrayBuffer>> {
	const { columns, rows } = await tableOf(db, name, units, today);
	const heading = columns.map((value) => ({ value, type: String, fontWeight: 'bold' as const }));
	const cells = rows.map((row) =>
		row.map((value) => {
			if (value === null || value === '') return null;
			if (typeof value === 'number') return { value, type: Number };
			if (typeof value === 'boolean') return { value, type: Boolean };
			return { value: value.slice(0, MOST_LETTERS), type: String };
		})
	);
	const file = await writeXlsxFile([heading, ...cells], {
		sheet: name,
		stickyRowsCount: 1,
		columns: columns.map((column) => ({ width: Math.max(12, column.length + 2) }))
	}).toBuffer();
	return new Uint8Array(file);
}
