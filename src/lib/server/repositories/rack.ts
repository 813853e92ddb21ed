import type { Knex } from 'knex';
import { readRows } from './columns';
import { SETUP_COLUMNS, SetupRow } from './setups';
import { SPOOL_COLUMNS, SpoolRow } from './spools';

const prefixed = (table: string, columns: readonly string[]): string[] =>
	columns.map((column) => `${table}.${column} as ${table}_${column}`);

type Joined = Readonly<Record<string, unknown>>;

/** The columns of one table in a joined row; undefined where the join found none. */
function part(row: Joined, table: string, columns: readonly string[]): Joined | undefined {
	const named = (column: string): string => `${table}${column[0]!.toUpperCase()}${column.slice(1)}`;
	return row[named('id')] === null
		? undefined
		: Object.fromEntries(columns.map((column) => [column, row[named(column)]]));
}

/** Every spool on the rack, in the order it came, and every set-up on one, newest last. */
export async function listRack(db: Knex): Promise<{ spools: SpoolRow[]; setups: SetupRow[] }> {
	const rows = (await db('spools')
		.leftJoin('setups', (on) => on.on('setups.spoolId', 'spools.id').andOnNull('setups.droppedAt'))
		.whereNull('spools.deletedAt')
		.select(...prefixed('spools', SPOOL_COLUMNS), ...prefixed('setups', SETUP_COLUMNS))
		.orderBy('spools.createdAt')
		.orderBy('spools.id')
		.orderBy('setups.createdAt')
		.orderBy('setups.id')) as Joined[];
	const spools = new Map(rows.map((row) => [row['spoolsId'], part(row, 'spools', SPOOL_COLUMNS)]));
	const setups = rows.flatMap((row) => part(row, 'setups', SETUP_COLUMNS) ?? []);
	return {
		spools: readRows(db, 'spools', SpoolRow, [...spools.values()]),
		setups: readRows(db, 'setups', SetupRow, setups)
	};
}
