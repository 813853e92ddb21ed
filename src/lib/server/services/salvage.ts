import Database from 'better-sqlite3';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { connect } from '../db/connect';
import { COLUMN_NAMES } from '../db/names';
import { migrationSource } from '../migrations';
import { exportArchive } from './archive';

/** What can still be read of a damaged data file, as an archive. */
export interface Salvaged {
	readonly archive: Uint8Array<ArrayBuffer>;
	/** For each table that had something in it: how many rows were read, and how many there were, where an index still says so. */
	readonly tables: readonly {
		readonly name: string;
		readonly read: number;
		readonly were: number | undefined;
	}[];
}

type Row = Record<string, unknown>;

/** Rows that are looked for where neither the table nor an index says how many there were. */
const MOST_ROWS = 2 ** 17;
/** Stretches that cannot be read before the rest of a table is given up: each takes a fraction of a millisecond. */
const MOST_FAILED = 20_000;
/** Tables that Wendle keeps for itself. */
const OWN = /^(knex_|sqlite_|writes$|incoming)/;

/** What a reading came to; undefined where SQLite stumbled over the damage. */
function attempt<T>(read: () => T): T | undefined {
	try {
		return read();
	} catch {
		return undefined;
	}
}

/**
 * The rows of a table that can be read. Where a stretch cannot be, it is halved until what is damaged stands alone: the rows around
 * it are still there.
 */
export function readableRows(db: Database.Database, table: string): Row[] {
	const count = countByIndex(db, table);
	const last =
		attempt(() => (db.prepare(`select max(rowid) from "${table}"`).pluck().get() as number | null) ?? 0) ??
		// Rows are seldom deleted for good: their numbers are not far above how many there are.
		(count === undefined ? MOST_ROWS : 2 * count + 100);
	const stretch = db.prepare(`select * from "${table}" where rowid between ? and ?`);
	const rows: Row[] = [];
	let failed = 0;
	const waiting: [from: number, to: number][] = [[0, last]];
	// The longest first: what can be read at all is read before any time is spent on the damage.
	for (const [from, to] of waiting) {
		const read = attempt(() => stretch.all(from, to) as Row[]);
		if (read) rows.push(...read);
		else if (from < to && ++failed < MOST_FAILED) {
			const middle = Math.floor((from + to) / 2);
			waiting.push([from, middle], [middle + 1, to]);
		}
	}
	return rows;
}

/** How many rows there were, by an index that was not damaged: it is kept apart from the table. */
function countByIndex(db: Database.Database, table: string): number | undefined {
	const indexes =
		attempt(
			() =>
				db
					.prepare("select name from sqlite_master where type = 'index' and tbl_name = ?")
					.pluck()
					.all(table) as string[]
		) ?? [];
	for (const index of indexes) {
		const count = attempt(
			() => db.prepare(`select count(*) from "${table}" indexed by "${index}"`).pluck().get() as number
		);
		if (count !== undefined) return count;
	}
	return undefined;
}

/** An empty file of the version that a damaged one had. */
async function emptyLike(path: string, damaged: Database.Database): Promise<void> {
	const applied = attempt(
		() => damaged.prepare('select count(*) from knex_migrations').pluck().get() as number
	);
	const db = connect(path);
	try {
		if (applied === undefined) await db.migrate.latest({ migrationSource });
		else for (let i = 0; i < applied; i++) await db.migrate.up({ migrationSource });
	} finally {
		await db.destroy();
	}
}

/** Puts rows where they belong; those that no longer make a row of their table are left out. How many went in. */
function put(db: Database.Database, table: string, rows: readonly Row[]): number {
	const columns = new Set(
		(db.pragma(`table_info("${table}")`) as { name: string }[]).map(({ name }) => name)
	);
	let went = 0;
	for (const row of rows) {
		const names = Object.keys(row).filter((name) => columns.has(name));
		const said = names.map((name) => `"${name}"`).join();
		const statement = `insert into "${table}" (${said}) values (${names.map(() => '?').join()})`;
		const done = attempt(() => db.prepare(statement).run(names.map((name) => row[name])));
		went += done?.changes ?? 0;
	}
	return went;
}

/** A winding carries its set-up and its spool along: where those were lost they are made from it. */
function rebuildFromWindings(db: Database.Database): void {
	db.exec(`
		insert or ignore into spools (id, form, created_at, version)
			select spool_id, json_extract(form, '$.spool'), created_at, 1 from records
			where spool_id not in (select id from spools) and json_valid(form);
		insert or ignore into setups (id, spool_id, fill, version, created_at, updated_at)
			select setup_id, spool_id, json_extract(form, '$.fill'), 1, created_at, created_at from records
			where setup_id not in (select id from setups) and json_valid(form);`);
}

/** Leaves out what hangs on something that was lost. */
function dropOrphans(db: Database.Database): void {
	for (;;) {
		const orphans = db.pragma('foreign_key_check') as { table: string; rowid: number }[];
		if (orphans.length === 0) return;
		for (const { table, rowid } of orphans) db.prepare(`delete from "${table}" where rowid = ?`).run(rowid);
	}
}

/**
 * Reads whatever can be read of a data file into an archive. The file itself is only read.
 *
 * @throws Error where not even the list of its tables can be read
 */
export async function salvage(path: string): Promise<Salvaged> {
	const folder = mkdtempSync(join(tmpdir(), 'wendle-salvage-'));
	const damaged = new Database(path, { fileMustExist: true, readonly: true });
	try {
		const names = (
			damaged.prepare("select name from sqlite_master where type = 'table'").pluck().all() as string[]
		).filter((name) => !OWN.test(name));
		const file = join(folder, 'wendle.sqlite');
		await emptyLike(file, damaged);
		const whole = new Database(file);
		whole.pragma('foreign_keys = OFF');
		const tables = names.map((name) => ({
			name,
			read: put(whole, name, readableRows(damaged, name)),
			were: countByIndex(damaged, name)
		}));
		whole.close();
		const db = connect(file, COLUMN_NAMES);
		try {
			const plain = connect(file);
			await plain.migrate.latest({ migrationSource });
			await plain.destroy();
			const mended = new Database(file);
			rebuildFromWindings(mended);
			dropOrphans(mended);
			mended.close();
			return {
				archive: await exportArchive(db),
				tables: tables.filter(({ read, were }) => read > 0 || (were ?? 0) > 0)
			};
		} finally {
			await db.destroy();
		}
	} finally {
		damaged.close();
		rmSync(folder, { recursive: true, force: true });
	}
}
