import type { Knex } from 'knex';
import { existsSync } from 'node:fs';
import { refuseIfGone } from './file';
import { fileIn, openDatabase } from './open';
import { DataTrouble } from './trouble';

export { troubleBehind } from './trouble';

/** The person's data: one SQLite file under WENDLE_DATA (./data unless set). */
const directory = (): string => process.env['WENDLE_DATA'] ?? 'data';
export const dataFile = (): string => fileIn(directory());

let opened: Promise<Knex> | undefined;
/** The file was there once: from then on a missing one has gone, and no new one is made in its place. */
let wasThere = false;

/**
 * The open database. It is opened at first use; an attempt that failed is made again the next time.
 *
 * @throws DataTrouble when its file is gone, replaced, or cannot be opened
 */
export async function database(): Promise<Knex> {
	if (!opened && wasThere && !existsSync(dataFile())) throw new DataTrouble('data_gone', dataFile());
	const opening = (opened ??= openDatabase(directory()));
	try {
		const db = await opening;
		wasThere = true;
		refuseIfGone(db);
		return db;
	} catch (error) {
		// A file that went away may come back, and is then still open; what could not be opened is tried anew.
		if (!wasThere && opened === opening) opened = undefined;
		throw error;
	}
}

/** Lets the process end: Knex's pool would keep it alive. */
export async function closeDatabase(): Promise<void> {
	const db = opened;
	opened = undefined;
	wasThere = false;
	await (await db)?.destroy();
}
