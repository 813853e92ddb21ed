import type { RunEvent } from '$lib/core';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

export interface KeptPhoto {
	readonly id: string;
	readonly jpeg: Blob;
	readonly sent: 0 | 1;
}
interface KeptEvent {
	readonly run: string;
	readonly event: RunEvent;
	readonly sent: 0 | 1;
}
/** The run that a set-up is in, as this browser knows it, and how far it has followed the server. */
interface KeptRun {
	readonly setup: string;
	readonly run: string;
	readonly arrival?: number;
}

interface Logs extends DBSchema {
	events: { key: [run: string, id: string]; value: KeptEvent };
	runs: { key: string; value: KeptRun };
	/** Events that the server has confirmed, many together: a long run opens as a few records, not thousands. */
	chunks: { key: number; value: { run: string; text: string }; indexes: { run: string } };
	photos: { key: string; value: KeptPhoto };
}

/** Confirmed events that are kept one by one before they are put together. */
const LOOSE = 200;

const openLogs = (): Promise<IDBPDatabase<Logs>> =>
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

/**
 * The browser's own copy of its runs: what is counted is here before it is sent. A browser that keeps nothing for a page (a
 * private window), or nothing more (its disk is full), has what it could not keep in this page only, until the page is left.
 */
export class RunLog {
	readonly #db: Promise<IDBPDatabase<Logs> | undefined>;
	/** What the browser would not keep. */
	readonly #events = new Map<string, KeptEvent>();
	readonly #runs = new Map<string, KeptRun>();
	readonly #photos = new Map<string, KeptPhoto>();

	constructor(open: () => Promise<IDBPDatabase<Logs>> = openLogs) {
		this.#db = Promise.resolve()
			.then(open)
			.catch(() => undefined);
	}

	/** Whether something that the server does not have is in this page only. */
	get onlyHere(): boolean {
		return [...this.#events.values(), ...this.#photos.values()].some(({ sent }) => sent === 0);
	}

	/** Asks the browser; what it cannot tell, for whatever reason, is not there. */
	async #read<T>(ask: (db: IDBPDatabase<Logs>) => Promise<T>): Promise<T | undefined> {
		const db = await this.#db;
		return db && ask(db).catch(() => undefined);
	}

	/** Has the browser keep something. False when it does not. */
	async #keep(put: (db: IDBPDatabase<Logs>) => Promise<unknown>): Promise<boolean> {
		const db = await this.#db;
		if (!db) return false;
		try {
			await put(db);
			return true;
		} catch {
			return false;
		}
	}

	async runOf(setup: string): Promise<{ run: string; arrival: number } | undefined> {
		const kept = this.#runs.get(setup) ?? (await this.#read((db) => db.get('runs', setup)));
		return kept && { run: kept.run, arrival: kept.arrival ?? 0 };
	}
	async setRun(setup: string, run: string, arrival: number): Promise<void> {
		const kept = { setup, run, arrival };
		if (await this.#keep((db) => db.put('runs', kept))) this.#runs.delete(setup);
		else this.#runs.set(setup, kept);
	}
	async endRun(setup: string): Promise<void> {
		this.#runs.delete(setup);
		await this.#keep((db) => db.delete('runs', setup));
	}

	/** Events of a run, and which of them the server has not confirmed. */
	async load(run: string): Promise<{ events: RunEvent[]; unsent: RunEvent[] }> {
		const chunks = (await this.#read((db) => db.getAllFromIndex('chunks', 'run', run))) ?? [];
		const own = IDBRange(run);
		const kept = (own && (await this.#read((db) => db.getAll('events', own)))) ?? [];
		const here = [...this.#events.values()].filter((one) => one.run === run);
		const ids = new Set(here.map(({ event }) => event.id));
		const loose = [...kept.filter(({ event }) => !ids.has(event.id)), ...here];
		const confirmed = kept.filter(({ sent }) => sent === 1).map(({ event }) => event);
		if (confirmed.length > LOOSE) void this.#together(run, confirmed);
		return {
			events: [
				...chunks.flatMap(({ text }) => JSON.parse(text) as RunEvent[]),
				...loose.map(({ event }) => event)
			],
			unsent: loose.filter(({ sent }) => sent === 0).map(({ event }) => event)
		};
	}

	async put(run: string, events: readonly RunEvent[], sent: boolean): Promise<void> {
		if (sent && events.length > LOOSE && (await this.#together(run, events))) return this.#forget(events);
		const records = events.map((event): KeptEvent => ({ run, event, sent: sent ? 1 : 0 }));
		const kept = await this.#keep(async (db) => {
			const tx = db.transaction('events', 'readwrite');
			await Promise.all([...records.map((record) => tx.store.put(record)), tx.done]);
		});
		if (kept) this.#forget(events);
		else for (const record of records) this.#events.set(record.event.id, record);
	}

	#forget(events: readonly RunEvent[]): void {
		for (const { id } of events) this.#events.delete(id);
	}

	/** Puts confirmed events together as one record, in the place of their own: all of it or nothing. */
	#together(run: string, events: readonly RunEvent[]): Promise<boolean> {
		return this.#keep(async (db) => {
			const tx = db.transaction(['events', 'chunks'], 'readwrite');
			const together = new Set(events.map(({ id }) => id));
			const loose = tx.objectStore('events');
			const own = await loose.getAllKeys(IDBRange(run));
			await Promise.all([
				tx.objectStore('chunks').add({ run, text: JSON.stringify(events) }),
				...own.filter(([, id]) => together.has(id)).map((key) => loose.delete(key)),
				tx.done
			]);
		});
	}

	async putPhoto(photo: KeptPhoto): Promise<void> {
		if (await this.#keep((db) => db.put('photos', photo))) this.#photos.delete(photo.id);
		else this.#photos.set(photo.id, photo);
	}
	async photo(id: string): Promise<Blob | undefined> {
		return (this.#photos.get(id) ?? (await this.#read((db) => db.get('photos', id))))?.jpeg;
	}
	async unsentPhotos(): Promise<KeptPhoto[]> {
		const kept = ((await this.#read((db) => db.getAll('photos'))) ?? []).filter(
			({ id }) => !this.#photos.has(id)
		);
		return [...kept, ...this.#photos.values()].filter(({ sent }) => sent === 0);
	}
}

/** All events of a run; undefined where a browser has no such thing. */
const IDBRange = (run: string): IDBKeyRange | undefined =>
	typeof IDBKeyRange === 'undefined' ? undefined : IDBKeyRange.bound([run, ''], [run, '\uffff']);
