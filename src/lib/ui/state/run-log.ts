import type { RunEvent } from '$lib/core';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

export interface KeptPhoto {
	readonly id: string;
	readonly jpeg: Blob;
	readonly sent: 0 | 1;
}

interface Logs extends DBSchema {
	events: { key: [run: string, id: string]; value: { run: string; event: RunEvent; sent: 0 | 1 } };
	/** The run that a set-up is in, as this browser knows it, and how far it has followed the server. */
	runs: { key: string; value: { setup: string; run: string; arrival?: number } };
	/** Events that the server has confirmed, many together: a long run opens as a few records, not thousands. */
	chunks: { key: number; value: { run: string; text: string }; indexes: { run: string } };
	photos: { key: string; value: KeptPhoto };
}

/** Confirmed events that are kept one by one before they are put together. */
const LOOSE = 200;

/**
 * The browser's own copy of its runs: what is counted is here before anything else happens to it. A browser that keeps nothing
 * for a page (a strict private window) has no copy: there everything goes to the server, and what it did not get is gone with the page.
 */
export class RunLog {
	readonly #db: Promise<IDBPDatabase<Logs> | undefined>;
	/** Where nothing is kept, photos are here until the page is left. */
	readonly #photos = new Map<string, KeptPhoto>();

	constructor() {
		const opened = async (): Promise<IDBPDatabase<Logs>> =>
			openDB<Logs>('wendle-runs', 2, {
				upgrade(db, from) {
					if (from < 1) {
						db.createObjectStore('events', { keyPath: ['run', 'event.id'] });
						db.createObjectStore('runs', { keyPath: 'setup' });
					}
					db.createObjectStore('photos', { keyPath: 'id' });
					db.createObjectStore('chunks', { autoIncrement: true }).createIndex('run', 'run');
				}
			});
		this.#db = opened().catch(() => undefined);
	}

	async runOf(setup: string): Promise<{ run: string; arrival: number } | undefined> {
		const kept = await (await this.#db)?.get('runs', setup);
		return kept && { run: kept.run, arrival: kept.arrival ?? 0 };
	}
	async setRun(setup: string, run: string, arrival: number): Promise<void> {
		await (await this.#db)?.put('runs', { setup, run, arrival });
	}
	async endRun(setup: string): Promise<void> {
		await (await this.#db)?.delete('runs', setup);
	}

	/** Events of a run, and which of them the server has not confirmed. */
	async load(run: string): Promise<{ events: RunEvent[]; unsent: RunEvent[] }> {
		const db = await this.#db;
		if (!db) return { events: [], unsent: [] };
		const [chunks, kept] = await Promise.all([
			db.getAllFromIndex('chunks', 'run', run),
			db.getAll('events', IDBKeyRange.bound([run, ''], [run, '\uffff']))
		]);
		const confirmed = kept.filter(({ sent }) => sent === 1).map(({ event }) => event);
		if (confirmed.length > LOOSE) void this.#together(db, run, confirmed);
		return {
			events: [
				...chunks.flatMap(({ text }) => JSON.parse(text) as RunEvent[]),
				...kept.map(({ event }) => event)
			],
			unsent: kept.filter(({ sent }) => sent === 0).map(({ event }) => event)
		};
	}
	async put(run: string, events: readonly RunEvent[], sent: boolean): Promise<void> {
		const db = await this.#db;
		if (!db) return;
		if (sent && events.length > LOOSE) return this.#together(db, run, events);
		const tx = db.transaction('events', 'readwrite');
		for (const event of events) void tx.store.put({ run, event, sent: sent ? 1 : 0 });
		await tx.done;
	}

	/** Puts confirmed events together as one record, in the place of their own: all of it or nothing. */
	async #together(db: IDBPDatabase<Logs>, run: string, events: readonly RunEvent[]): Promise<void> {
		const tx = db.transaction(['events', 'chunks'], 'readwrite');
		void tx.objectStore('chunks').add({ run, text: JSON.stringify(events) });
		const together = new Set(events.map(({ id }) => id));
		const loose = tx.objectStore('events');
		for (const key of await loose.getAllKeys(IDBKeyRange.bound([run, ''], [run, '\uffff'])))
			if (together.has(key[1])) void loose.delete(key);
		await tx.done;
	}

	async putPhoto(photo: KeptPhoto): Promise<void> {
		const db = await this.#db;
		if (db) await db.put('photos', photo);
		else this.#photos.set(photo.id, photo);
	}
	async photo(id: string): Promise<Blob | undefined> {
		const db = await this.#db;
		return (db ? await db.get('photos', id) : this.#photos.get(id))?.jpeg;
	}
	async unsentPhotos(): Promise<KeptPhoto[]> {
		const db = await this.#db;
		const photos = db ? await db.getAll('photos') : [...this.#photos.values()];
		return photos.filter(({ sent }) => sent === 0);
	}
}
