import { dataDirectory, reopen } from '../db';
import { backupFile, listBackups, makeBackup, readyToRestore, type Backup } from '../db/backup';
import { done, gone, type Outcome } from '../outcome';

/** Copies of everything that Wendle knows, of the place that is asked about. */

export const backups = async (): Promise<Backup[]> => listBackups(dataDirectory());

export async function backUp(): Promise<Outcome<null>> {
	await makeBackup(dataDirectory());
	return done(null);
}

/** Where the backup with this name is. */
export const backupPath = async (name: string): Promise<string | undefined> =>
	backupFile(dataDirectory(), name);

/** Puts a backup in the place of the data. What is there now is backed up first. */
export async function restore(name: string): Promise<Outcome<null>> {
	const directory = dataDirectory();
	const path = backupFile(directory, name);
	if (path === undefined) return gone('backup');
	const swap = await readyToRestore(directory, path);
	await makeBackup(directory);
	await reopen(swap);
	return done(null);
}
