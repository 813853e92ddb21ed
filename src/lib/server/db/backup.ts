import Database from 'better-sqlite3';
import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { isNewer } from '../migrations';
import { fileIn } from './open';
import { staying } from './rotation';
import { DataTrouble, troubleBehind } from './trouble';

/** A copy of the data file, in the folder `backups` beside it. */
export interface Backup {
	readonly name: string;
	readonly madeAt: Date;
	readonly bytes: number;
}

const NAME = /^wendle-(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d\.\d{3}Z)\.sqlite$/;
const nameAt = (at: Date): string => `wendle-${at.toISOString().replaceAll(':', '-')}.sqlite`;

const folderIn = (directory: string): string => join(directory, 'backups');
/** Where the backup with this name is; undefined for a name that no backup has. */
export function backupFile(directory: string, name: string): string | undefined {
	const path = join(folderIn(directory), name);
	return NAME.test(name) && existsSync(path) ? path : undefined;
}

/** The backups that are there, the newest first. */
export function listBackups(directory: string): Backup[] {
	const folder = folderIn(directory);
	if (!existsSync(folder)) return [];
	return readdirSync(folder)
		.flatMap((name) => {
			const [, day, hour, minute, second] = NAME.exec(name) ?? [];
			if (day === undefined) return [];
			return {
				name,
				madeAt: new Date(`${day}T${hour}:${minute}:${second}`),
				bytes: statSync(join(folder, name)).size
			};
		})
		.toSorted((a, b) => b.madeAt.getTime() - a.madeAt.getTime());
}

/** What is wrong with a file of data is told as such. */
async function telling<T>(path: string, work: () => T | Promise<T>): Promise<T> {
	try {
		return await work();
	} catch (error) {
		throw troubleBehind(error, path) ?? error;
	}
}

/**
 * Looks a copy through, and leaves it as one file, without SQLite's log beside it.
 *
 * @throws DataTrouble for one that is damaged, not Wendle's, or made by a newer version
 */
function verify(path: string): void {
	if (statSync(path).size === 0) throw new DataTrouble('data_empty', path);
	const copy = new Database(path, { fileMustExist: true });
	try {
		const said = copy.pragma('integrity_check', { simple: true });
		if (said !== 'ok') throw new DataTrouble('data_damaged', path, said);
		const isOurs = copy.prepare("select 1 from sqlite_master where name = 'knex_migrations'").get();
		if (!isOurs) throw new DataTrouble('data_foreign', path);
		const applied = copy.prepare('select name from knex_migrations').pluck().all() as string[];
		if (isNewer(applied)) throw new DataTrouble('data_newer', path);
		copy.pragma('journal_mode = DELETE');
	} finally {
		copy.close();
	}
}

/** Copies a data file while people work on it (SQLite's online backup), and looks the copy through. */
async function copyOf(from: string, to: string): Promise<void> {
	rmSync(to, { force: true });
	const source = new Database(from, { fileMustExist: true });
	try {
		await source.backup(to);
	} finally {
		source.close();
	}
	verify(to);
}

/**
 * Makes a backup of the data in a folder. What is older than wanted goes: see {@link staying}.
 *
 * @throws DataTrouble when there is no data, or the copy does not come out whole
 */
export async function makeBackup(directory: string, now = new Date()): Promise<Backup> {
	const [folder, data, name] = [folderIn(directory), fileIn(directory), nameAt(now)];
	if (!existsSync(data)) throw new DataTrouble('data_gone', data);
	const beside = join(folder, `${name}.new`);
	await telling(data, async () => {
		mkdirSync(folder, { recursive: true });
		await copyOf(data, beside);
		renameSync(beside, join(folder, name));
	});
	const made = listBackups(directory);
	const stay = staying(
		made.map(({ madeAt }) => madeAt),
		now
	);
	for (const old of made) if (!stay.has(old.madeAt)) rmSync(join(folder, old.name));
	return made.find((one) => one.name === name)!;
}

/**
 * Copies a file beside the data, looked through, ready to take its place.
 *
 * @returns puts it there; the data must be closed then
 * @throws DataTrouble for a file that is no backup
 */
export async function readyToRestore(directory: string, path: string): Promise<() => void> {
	const data = fileIn(directory);
	const beside = `${data}.restored`;
	await telling(path, () => {
		mkdirSync(directory, { recursive: true });
		rmSync(beside, { force: true });
		copyFileSync(path, beside);
		try {
			verify(beside);
		} catch (error) {
			rmSync(beside);
			throw error;
		}
	});
	return () => {
		for (const left of ['-wal', '-shm']) rmSync(data + left, { force: true });
		renameSync(beside, data);
	};
}

/** Whether a program has the data open; looked at before a program that is not the server replaces it. */
export function isInUse(directory: string): boolean {
	const data = fileIn(directory);
	if (!existsSync(data)) return false;
	const own = new Database(data, { timeout: 0 });
	try {
		// Only whoever has the file alone can take its log away.
		return own.pragma('journal_mode = DELETE', { simple: true }) !== 'delete';
	} catch (error) {
		if ((error as { code?: unknown }).code === 'SQLITE_BUSY') return true;
		throw error;
	} finally {
		own.close();
	}
}
