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

/** The browser's own copy of its runs: what is counted is here before anything else happens to it. */
export class RunLog {
	readonly #db: Promise<IDBPDatabase<Logs>>;
	constructor() {
		this.#db = openDB<Logs>('wendle-runs', 2, {
			upgrade(db, from) {
				if (from < 1) {
					db.createObjectStore('events', { keyPath: ['run', 'event.id'] });
					db.createObjectStore('runs', { keyPath: 'setup' });
				}
				db.createObjectStore('photos', { keyPath: 'id' });
				db.createObjectStore('chunks', { autoIncrement: true }).createIndex('run', 'run');
			}
		});
	}

	async runOf(setup: string): Promise<{ run: string; arrival: number } | undefined> {
		const kept = await (await this.#db).get('runs', setup);
		return kept && { run: kept.run, arrival: kept.arrival ?? 0 };
	}
	async setRun(setup: string, run: string, arrival: number): Promise<void> {
		await (await this.#db).put('runs', { setup, run, arrival });
	}
	async endRun(setup: string): Promise<void> {
		await (await this.#db).delete('runs', setup);
	}

	/** Events of a run, and which of them the server has not confirmed. */
	async load(run: string): Promise<{ events: RunEvent[]; unsent: RunEvent[] }> {
		const db = await this.#db;
		const range = IDBKeyRange.bound([run, ''], [run, '\uffff']);
		const [chunks, kept] = await Promise.all([
			db.getAllFromIndex('chunks', 'run', run),
			db.getAll('events', range)
		]);
		const confirmed = kept.filter(({ sent }) => sent === 1).map(({ event }) => event);
		if (confirmed.length > LOOSE) void this.#together(run, confirmed);
		return {
			events: [
				...chunks.flatMap(({ text }) => JSON.parse(text) as RunEvent[]),
				...kept.map(({ event }) => event)
			],
			unsent: kept.filter(({ sent }) => sent === 0).map(({ event }) => event)
		};
	}
	async put(run: string, events: readonly RunEvent[], sent: boolean): Promise<void> {
		if (sent && events.length > LOOSE) return this.#together(run, events);
		const tx = (await this.#db).transaction('events', 'readwrite');
		for (const event of events) void tx.store.put({ run, event, sent: sent ? 1 : 0 });
		await tx.done;
	}

	/** Puts confirmed events together as one record, in the place of their own: all of it or nothing. */
	async #together(run: string, events: readonly RunEvent[]): Promise<void> {
		const tx = (await this.#db).transaction(['events', 'chunks'], 'readwrite');
		void tx.objectStore('chunks').add({ run, text: JSON.stringify(events) });
		const together = new Set(events.map(({ id }) => id));
		const loose = tx.objectStore('events');
		for (const key of await loose.getAllKeys(IDBKeyRange.bound([run, ''], [run, '\uffff'])))
			if (together.has(key[1])) void loose.delete(key);
		await tx.done;
	}

	async putPhoto(photo: KeptPhoto): Promise<void> {
		await (await this.#db).put('photos', photo);
	}
	async photo(id: string): Promise<Blob | undefined> {
		return (await (await this.#db).get('photos', id))?.jpeg;
	}
	async unsentPhotos(): Promise<KeptPhoto[]> {
		return (await (await this.#db).getAll('photos')).filter(({ sent }) => sent === 0);
	}
}
