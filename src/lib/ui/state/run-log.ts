import type { RunEvent } from '$lib/core';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

interface Logs extends DBSchema {
	events: { key: [run: string, id: string]; value: { run: string; event: RunEvent; sent: 0 | 1 } };
	/** The run that a set-up is in, as this browser knows it. */
	runs: { key: string; value: { setup: string; run: string } };
}

/** The browser's own copy of its runs: what is counted is here before anything else happens to it. */
export class RunLog {
	readonly #db: Promise<IDBPDatabase<Logs>>;
	constructor() {
		this.#db = openDB<Logs>('wendle-runs', 1, {
			upgrade(db) {
				db.createObjectStore('events', { keyPath: ['run', 'event.id'] });
				db.createObjectStore('runs', { keyPath: 'setup' });
			}
		});
	}

	async runOf(setup: string): Promise<string | undefined> {
		return (await (await this.#db).get('runs', setup))?.run;
	}
	async setRun(setup: string, run: string): Promise<void> {
		await (await this.#db).put('runs', { setup, run });
	}
	async endRun(setup: string): Promise<void> {
		await (await this.#db).delete('runs', setup);
	}

	/** Events of a run, and which of them the server has not confirmed. */
	async load(run: string): Promise<{ events: RunEvent[]; unsent: RunEvent[] }> {
		const range = IDBKeyRange.bound([run, ''], [run, '\uffff']);
		const kept = await (await this.#db).getAll('events', range);
		return {
			events: kept.map(({ event }) => event),
			unsent: kept.filter(({ sent }) => sent === 0).map(({ event }) => event)
		};
	}
	async put(run: string, events: readonly RunEvent[], sent: boolean): Promise<void> {
		const tx = (await this.#db).transaction('events', 'readwrite');
		for (const event of events) void tx.store.put({ run, event, sent: sent ? 1 : 0 });
		await tx.done;
	}
}
