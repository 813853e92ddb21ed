import Database from 'better-sqlite3';
import { expect } from '@playwright/test';
import { join } from 'node:path';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { newSetup } from '../src/lib/setup/presets';
import type { SetupForm } from '../src/lib/setup/form';
import type { Server } from './server';

const isYes = (status: number): boolean => status >= 200 && status < 300;

/** Something that is written: what is sent, and what is known once the server has said yes. */
export interface Asked {
	readonly what: string;
	readonly method: string;
	readonly path: string;
	readonly body?: unknown;
	readonly jpeg?: Uint8Array<ArrayBuffer>;
	readonly id: string;
	/** Takes note of the answer. */
	readonly heard: (answer: never) => void;
}

/** A picture of one pixel, as far as its header says. */
const JPEG = Uint8Array.from(
	Buffer.from('ffd8ffe000104a46494600010100000100010000ffc00011080001000103012200021101031101ffd9', 'hex')
);

/** What came of a request: an answer, or none since the connection or the server went away. */
export type Answered = { readonly status: number; readonly text: string } | undefined;

/**
 * A shop's day over the wire: first saves, edits, swaps planned, steps and ends of jobs, windings, entries in Care, photos, drawn by
 * a seed. What the server said yes to has to be there, once, whatever happened to the machine meanwhile.
 */
export class ManyWrites {
	readonly #server: Server;
	readonly #random;
	#asked = 0;
	/** Writes of several rows, as {@link #missing} names these. */
	readonly #several: { readonly what: string; readonly rows: readonly string[] }[] = [];
	/** What was acknowledged. */
	readonly #gaps = new Map<string, { gap: string; version: number; form: SetupForm }>();
	readonly #spools = new Set<string>();
	readonly #setups = new Set<string>();
	readonly #records = new Set<string>();
	readonly #events = new Map<string, Set<string>>();
	/** Jobs that wind nothing new, begun and not ended. */
	readonly #off: string[] = [];
	readonly #care = new Set<string>();
	readonly #photos = new Set<string>();
	readonly #wound: { setupId: string; spoolId: string }[] = [];

	constructor(server: Server, seed: number) {
		this.#server = server;
		this.#random = xoroshiro128plus(seed);
	}

	upTo(most: number): number {
		return uniformInt(this.#random, 0, most);
	}
	any<T>(things: readonly T[]): T {
		return things[this.upTo(things.length - 1)]!;
	}

	#form(): SetupForm {
		const form = newSetup();
		Object.assign(form.spool, {
			name: `Spool ${this.#asked}`,
			way: 'measured',
			rim: '84 mm',
			arbor: '38 mm',
			width: '21 mm'
		});
		return form;
	}

	readonly #kinds: readonly (() => Omit<Asked, 'id'>)[] = [
		() => {
			const form = this.#form();
			return {
				what: 'first save', method: 'POST', path: '/api/setups', body: { form },
				heard: ({ id, spoolId, version }: { id: string; spoolId: string; version: number }) => {
					this.#setups.add(id);
					this.#spools.add(spoolId);
					this.#several.push({ what: 'first save', rows: [`setups ${id}`, `spools ${spoolId}`] });
					this.#gaps.set(id, { gap: form.fill.gap, version, form });
				}
			}; // prettier-ignore
		},
		() => {
			const [id, { form, version }] = this.any([...this.#gaps]);
			const gap = `${(20 + this.upTo(60)) / 10} mm`;
			const edited = { ...form, fill: { ...form.fill, gap } };
			return {
				what: 'edit', method: 'PUT', path: `/api/setups/${id}`, body: { form: edited, version },
				heard: (answer: { version: number }) =>
					void this.#gaps.set(id, { gap, version: answer.version, form: edited })
			}; // prettier-ignore
		},
		() => {
			const { spoolId } = this.any(this.#wound);
			const made = { way: 'class', class: { taper: 'WF', number: 4 + this.upTo(1), density: 'F' } };
			return {
				what: 'swap', method: 'POST', path: '/api/swaps',
				body: { spoolId, keep: 1, on: [{ role: 'line', made, length: '', note: `swap ${this.#asked}` }] },
				heard: ({ setupId }: { setupId: string }) => void this.#setups.add(setupId)
			}; // prettier-ignore
		},
		() => {
			const run = this.any([...this.#events.keys()]);
			const events = Array.from({ length: 1 + this.upTo(4) }, (_, i) => ({
				id: `event-${this.#asked}-${i}`, at: this.#asked * 1000 + i, kind: 'turns', part: 'backing', turns: 10
			})); // prettier-ignore
			return {
				what: 'steps', method: 'POST', path: `/api/runs/${run}/events`, body: { events },
				heard: () => {
					for (const { id } of events) this.#events.get(run)!.add(id);
					this.#several.push({ what: 'steps', rows: events.map(({ id }) => `${run} ${id}`) });
				}
			}; // prettier-ignore
		},
		() => {
			const [setupId] = this.any([...this.#gaps]);
			const run = `run-${this.#asked}`;
			return {
				what: 'a job begun', method: 'PUT', path: `/api/runs/${run}`, body: { setupId },
				heard: () => void this.#events.set(run, new Set())
			}; // prettier-ignore
		},
		() => {
			const [setupId] = this.any([...this.#gaps]);
			const body = {
				woundOn: '2026-05-01',
				turns: '320',
				depth: '9 mm',
				gap: '',
				note: `n${this.#asked}`,
				who: ''
			};
			return {
				what: 'put on the rack', method: 'POST', path: `/api/setups/${setupId}/records`, body,
				heard: ({ id }: { id: string }) => void this.#records.add(id)
			}; // prettier-ignore
		},
		() => {
			const { setupId } = this.any(this.#wound);
			const id = `care-event-${this.#asked}`;
			const event = { id, day: '2026-05-02', at: this.#asked, kind: 'fished', days: 1, water: 'salt' };
			return {
				what: 'an entry in Care', method: 'POST', path: '/api/care',
				body: { events: [{ keptId: `${setupId}:backing`, event }] },
				heard: () => void this.#care.add(id)
			}; // prettier-ignore
		},
		() => {
			const run = this.#off.pop();
			if (run === undefined) {
				const begun = `run-off-${this.#asked}`;
				return {
					what: 'another job begun', method: 'PUT', path: `/api/runs/${begun}`,
					body: { setupId: this.any(this.#wound).setupId, job: 'off.1' },
					heard: () => void (this.#off.includes(begun) || this.#off.push(begun))
				}; // prettier-ignore
			}
			return {
				what: 'the end of a job', method: 'POST', path: `/api/runs/${run}/end`,
				body: { day: '2026-05-03', leave: false },
				heard: ({ written }: { written: { id: string }[] }) => written.forEach(({ id }) => this.#care.add(id))
			}; // prettier-ignore
		},
		() => {
			const id = `photo-${this.#asked}`;
			return {
				what: 'a photo', method: 'PUT', path: `/api/photos/${id}`, jpeg: JPEG,
				heard: () => void this.#photos.add(id)
			}; // prettier-ignore
		}
	];

	/** Something that is written next. */
	next(): Asked {
		this.#asked += 1;
		return { ...this.any(this.#kinds)(), id: `many-write-${this.#asked}` };
	}

	/** Sends, and takes note of a yes. @param signal cuts the connection */
	async send(asked: Asked, signal?: AbortSignal): Promise<Answered> {
		const { method, path, body, jpeg, id, heard } = asked;
		try {
			const response = await fetch(this.#server.url + path, {
				method,
				headers: { 'idempotency-key': id, 'content-type': jpeg ? 'image/jpeg' : 'application/json' },
				body: jpeg ?? JSON.stringify(body),
				...(signal && { signal })
			});
			const text = await response.text();
			if (response.ok) heard((text ? JSON.parse(text) : undefined) as never);
			return { status: response.status, text };
		} catch {
			return undefined;
		}
	}

	/** Sends what has to be taken. */
	async write(asked: Asked): Promise<void> {
		const answered = await this.send(asked);
		const isTaken = answered !== undefined && isYes(answered.status);
		expect([asked.what, isTaken ? 'taken' : (answered ?? 'not answered')]).toEqual([asked.what, 'taken']);
	}

	/** Something of everything to begin with. */
	async begin(): Promise<void> {
		for (const kind of [0, 4, 5].map((i) => this.#kinds[i]!)) {
			this.#asked += 1;
			await this.write({ ...kind(), id: `many-write-${this.#asked}` });
		}
		const [setupId] = [...this.#setups];
		const [spoolId] = [...this.#spools];
		this.#wound.push({ setupId: setupId!, spoolId: spoolId! });
	}

	/** How many things of each kind were acknowledged and are there, and those that are not. @returns what is missing */
	#missing(db: Database.Database, exactly: boolean): string[] {
		const column = (sql: string, ...of: string[]): Set<string> =>
			new Set((db.prepare(sql).all(...of) as { id: string }[]).map(({ id }) => id));
		const there: [string, Set<string>, Set<string>][] = [
			['spools', this.#spools, column('select id from spools')],
			['setups', this.#setups, column('select id from setups')],
			['records', this.#records, column('select id from records')],
			['care', this.#care, column('select id from care_events')],
			['photos', this.#photos, column('select id from photos')],
			...[...this.#events].map(([run, events]): [string, Set<string>, Set<string>] => [
				run,
				events,
				column('select id from run_events where run_id = ?', run)
			])
		];
		if (exactly)
			for (const [what, acknowledged, found] of there)
				expect([what, found.size]).toEqual([what, acknowledged.size]);
		return there.flatMap(([what, acknowledged, found]) =>
			[...acknowledged].filter((id) => !found.has(id)).map((id) => `${what} ${id}`)
		);
	}

	/** Everything acknowledged is in the file; and nothing else, where whatever was not answered was asked again. */
	look(when: string, exactly: boolean): void {
		const db = new Database(join(this.#server.data, 'wendle.sqlite'), { readonly: true });
		try {
			expect([when, db.pragma('integrity_check', { simple: true })]).toEqual([when, 'ok']);
			expect([when, this.#missing(db, exactly)]).toEqual([when, []]);
			if (exactly) this.#lookAtEdits(db);
		} finally {
			db.close();
		}
	}

	/** Nothing is half there: what the file has was asked for, and each write of several rows is there with all of them or none. */
	lookWhole(when: string): void {
		const db = new Database(join(this.#server.data, 'wendle.sqlite'), { readonly: true });
		try {
			expect([when, db.pragma('integrity_check', { simple: true })]).toEqual([when, 'ok']);
			expect([when, db.pragma('foreign_key_check')]).toEqual([when, []]);
			const missing = new Set(this.#missing(db, false));
			for (const { what, rows } of this.#several) {
				const there = rows.filter((row) => !missing.has(row)).length;
				expect([when, what, [0, rows.length]]).toEqual([when, what, expect.arrayContaining([there])]);
			}
		} finally {
			db.close();
		}
	}

	#lookAtEdits(db: Database.Database): void {
		const saved = db.prepare(
			'select u.fill, u.version + s.version as version from setups u join spools s on s.id = u.spool_id where u.id = ?'
		);
		for (const [id, { gap, version }] of this.#gaps) {
			const row = saved.get(id) as { fill: string; version: number };
			expect([id, (JSON.parse(row.fill) as { gap: string }).gap, row.version]).toEqual([id, gap, version]);
		}
	}
}
