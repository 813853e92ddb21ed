import type { Knex } from 'knex';
import { statSync, type Stats } from 'node:fs';
import { DataTrouble } from './trouble';

/** The file behind an open database. */
interface DataFile {
	readonly path: string;
	readonly inode: number;
	readonly device: number;
}

const fileOf = new WeakMap<Knex, DataFile>();

const stat = (path: string): Stats | undefined => statSync(path, { throwIfNoEntry: false });

/** Remembers which file a database is, right after it was opened. */
export function rememberFile(db: Knex, path: string): void {
	const found = stat(path);
	if (!found) throw new DataTrouble('data_gone', path);
	fileOf.set(db, { path, inode: found.ino, device: found.dev });
}

/**
 * An open file can be deleted or replaced on Linux while it is written to, and nobody notices: what is written is lost. An
 * inode is not given to another file while this one is open, so comparing it is enough.
 *
 * @throws DataTrouble when the path no longer leads to the file that is open
 */
export function refuseIfGone(db: Knex): void {
	const file = fileOf.get(db);
	if (!file) return;
	let found: Stats | undefined;
	try {
		found = stat(file.path);
	} catch (error) {
		throw new DataTrouble('data_gone', file.path, error);
	}
	if (!found) throw new DataTrouble('data_gone', file.path);
	if (found.ino !== file.inode || found.dev !== file.device)
		throw new DataTrouble('data_replaced', file.path);
}
