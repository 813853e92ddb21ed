import type { Knex } from 'knex';
import { AsyncLocalStorage } from 'node:async_hooks';
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { refuseIfGone } from './file';
import { fileIn, openDatabase } from './open';
import type { Place } from '$lib/inventory/place';
import { DataTrouble } from './trouble';

export { troubleBehind } from './trouble';

const asked = new AsyncLocalStorage<Place>();
/** Does `work` on the data of a place. Work that names no place is done on the person's own. */
export const inPlace = <T>(place: Place, work: () => T): T => asked.run(place, work);
const here = (): Place => asked.getStore() ?? 'own';

/** One SQLite file for each place: the person's own under WENDLE_DATA (./data unless set), the sample beneath it. */
export function directoryOf(place: Place): string {
	const own = process.env['WENDLE_DATA'] ?? 'data';
	return place === 'own' ? own : join(own, 'sample');
}
export const dataFile = (): string => fileIn(directoryOf(here()));
export const isThere = (place: Place): boolean => existsSync(fileIn(directoryOf(place)));

const opened = new Map<Place, Promise<Knex>>();
/** Files that were there once: from then on a missing one has gone, and no new one is made in its place. */
const wereThere = new Set<Place>();

/**
 * The open database of the place that is asked about. It is opened at first use; an attempt that failed is made again the
 * next time.
 *
 * @throws DataTrouble when its file is gone, replaced, or cannot be opened
 */
export async function database(): Promise<Knex> {
	const place = here();
	let opening = opened.get(place);
	if (!opening && wereThere.has(place) && !isThere(place)) throw new DataTrouble('data_gone', dataFile());
	if (!opening) opened.set(place, (opening = openDatabase(directoryOf(place))));
	try {
		const db = await opening;
		wereThere.add(place);
		refuseIfGone(db);
		return db;
	} catch (error) {
		// A file that went away may come back, and is then still open; what could not be opened is tried anew.
		if (!wereThere.has(place) && opened.get(place) === opening) opened.delete(place);
		throw error;
	}
}

/** The folder of the place that is asked about. */
export const dataDirectory = (): string => directoryOf(here());

/** Closes the data that is asked about, does `swap`, and opens what is there then; whoever asks meanwhile waits for that. */
export async function reopen(swap: () => void): Promise<void> {
	const place = here();
	const open = opened.get(place);
	const anew = (async () => {
		await (await open)?.destroy();
		swap();
		return openDatabase(directoryOf(place));
	})();
	opened.set(place, anew);
	wereThere.delete(place);
	await database();
}

async function close(place: Place): Promise<void> {
	const open = opened.get(place);
	opened.delete(place);
	wereThere.delete(place);
	await (await open)?.destroy();
}

/** Lets the process end: Knex's pool would keep it alive. */
export async function closeDatabase(): Promise<void> {
	await close('own');
	await close('sample');
}

/** Deletes the sample's data. The person's own is never deleted. */
export async function deleteSample(): Promise<void> {
	await close('sample');
	rmSync(directoryOf('sample'), { recursive: true, force: true });
}
