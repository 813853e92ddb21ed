import type { Knex } from 'knex';
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { migrationSource } from '../migrations';
import { connect } from './connect';
import { rememberFile } from './file';
import { COLUMN_NAMES } from './names';
import { DataTrouble, troubleBehind } from './trouble';

/** How long the answers of writes are remembered: a window that was away comes back within this, days. */
const WRITES_KEPT_DAYS = 60;
const DAY_MS = 86_400_000;

const FILE = 'wendle.sqlite';
export const fileIn = (directory: string): string => join(directory, FILE);

async function migrate(filename: string): Promise<void> {
	const db = connect(filename);
	try {
		await db.migrate.latest({ migrationSource });
	} finally {
		await db.destroy();
	}
}

/** Makes a new file beside its place and moves it there whole, so that an empty one is never ours. */
async function create(directory: string): Promise<void> {
	for (const left of readdirSync(directory))
		if (left.startsWith(`${FILE}.new`)) rmSync(join(directory, left));
	const beside = join(directory, `${FILE}.new-${process.pid}`);
	await migrate(beside);
	if (existsSync(fileIn(directory))) rmSync(beside);
	else renameSync(beside, fileIn(directory));
}

/**
 * Opens the one database file under `directory`, migrated to the newest shape; makes it where there is none.
 *
 * @throws DataTrouble for a file that is empty, damaged, made by a newer version, or out of reach
 */
export async function openDatabase(directory: string): Promise<Knex> {
	const path = fileIn(directory);
	try {
		mkdirSync(directory, { recursive: true });
		if (!existsSync(path)) await create(directory);
		else if (statSync(path).size === 0) throw new DataTrouble('data_empty', path);
		await migrate(path);
		const db = connect(path, COLUMN_NAMES);
		rememberFile(db, path);
		const before = new Date(Date.now() - WRITES_KEPT_DAYS * DAY_MS).toISOString();
		await db('writes').where('writtenAt', '<', before).delete();
		return db;
	} catch (error) {
		throw troubleBehind(error, path) ?? error;
	}
}
