import Database from 'better-sqlite3';
import { expect } from '@playwright/test';
import { join } from 'node:path';
import { setTimeout as after } from 'node:timers/promises';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { newSetup } from '../src/lib/setup/presets';
import type { SetupForm } from '../src/lib/setup/form';
import type { Server } from './server';

/** Something that is written: what is sent, and what is known once the server has said yes. */
interface Asked {
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
/** How long after a request was sent the plug is pulled, at most, ms. */
const LATEST_MS = 25;

/**
 * A shop's day over the wire, with the plug pulled at random moments: first saves, edits, swaps planned, steps and ends of
 * jobs, windings, entries in Care, photos. What the server said yes to has to be there, once.
 */
export class Killing {
	readonly #server: Server;
	readonly #random;
	#asked = 0;
	#kills = 0;
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

	#upTo(most: number): number {
		return uniformInt(this.#random, 0, most);
	}
	#any<T>(things: readonly T[]): T {
		return things[this.#upTo(things.length - 1)]!;
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
					this.#gaps.set(id, { gap: form.fill.gap, version, form });
				}
			}; // prettier-ignore
		},
		() => {
			const [id, { form, version }] = this.#any([...this.#gaps]);
			const gap = `${(20 + this.#upTo(60)) / 10} mm`;
			const edited = { ...form, fill: { ...form.fill, gap } };
			return {
				what: 'edit', method: 'PUT', path: `/api/setups/${id}`, body: { form: edited, version },
				heard: (answer: { version: number }) =>
					void this.#gaps.set(id, { gap, version: answer.version, form: edited })
			}; // prettier-ignore
		},
		() => {
			const { spoolId } = this.#any(this.#wound);
			const made = { way: 'class', class: { taper: 'WF', number: 4 + this.#upTo(1), density: 'F' } };
			return {
				what: 'swap', method: 'POST', path: '/api/swaps',
				body: { spoolId, keep: 1, on: [{ role: 'line', made, length: '', note: `swap ${this.#asked}` }] },
				heard: ({ setupId }: { setupId: string }) => void this.#setups.add(setupId)
			}; // prettier-ignore
		},
		() => {
			const run = this.#any([...this.#events.keys()]);
			const events = Array.from({ length: 1 + this.#upTo(4) }, (_, i) => ({
				id: `event-${this.#asked}-${i}`, at: this.#asked * 1000 + i, kind: 'turns', part: 'backing', turns: 10
			})); // prettier-ignore
			return {
				what: 'steps', method: 'POST', path: `/api/runs/${run}/events`, body: { events },
				heard: () => events.forEach(({ id }) => this.#events.get(run)!.add(id))
			}; // prettier-ignore
		},
		() => {
			const [setupId] = this.#any([...this.#gaps]);
			const run = `run-${this.#asked}`;
			return {
				what: 'a job begun', method: 'PUT', path: `/api/runs/${run}`, body: { setupId },
				heard: () => void this.#events.set(run, new Set())
			}; // prettier-ignore
		},
		() => {
			const [setupId] = this.#any([...this.#gaps]);
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
			const { setupId } = this.#any(this.#wound);
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
					body: { setupId: this.#any(this.#wound).setupId, job: 'off.1' },
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

	#next(): Asked {
		this.#asked += 1;
		return { ...this.#any(this.#kinds)(), id: `kill-write-${this.#asked}` };
	}

	/** Sends; false when no answer came. What is answered otherwise than yes is a failure. */
	async #send(asked: Asked): Promise<boolean> {
		const { method, path, body, jpeg, id, heard, what } = asked;
		let response: Response;
		let text: string;
		try {
			response = await fetch(this.#server.url + path, {
				method,
				headers: { 'idempotency-key': id, 'content-type': jpeg ? 'image/jpeg' : 'application/json' },
				body: jpeg ?? JSON.stringify(body)
			});
			text = await response.text();
		} catch {
			return false;
		}
		expect([what, response.status, response.ok ? '' : text]).toEqual([what, response.status, '']);
		heard((text ? JSON.parse(text) : undefined) as never);
		return true;
	}

	/** Something of everything to begin with. */
	async begin(): Promise<void> {
		const steps = [0, 4, 5].map((kind) => this.#kinds[kind]!);
		for (const kind of steps) {
			this.#asked += 1;
			expect(await this.#send({ ...kind(), id: `kill-write-${this.#asked}` })).toBe(true);
		}
		const [setupId] = [...this.#setups];
		const [spoolId] = [...this.#spools];
		this.#wound.push({ setupId: setupId!, spoolId: spoolId! });
	}

	/** Some writes, and the plug is pulled during one of them; the server comes back, and that one is tried again. */
	async kill(): Promise<string> {
		for (let left = this.#upTo(6); left > 0; left--) expect(await this.#send(this.#next())).toBe(true);
		const last = this.#next();
		const [sent] = [this.#send(last)];
		await after(this.#upTo(LATEST_MS));
		await this.#server.stop('SIGKILL');
		const answered = await sent;
		this.#kills += 1;
		this.#look(false);
		await this.#server.start();
		if (!answered) expect(await this.#send(last)).toBe(true);
		// Asked once more it is still done once.
		expect(await this.#send(last)).toBe(true);
		this.#look(true);
		return `${last.what}${answered ? ', answered' : ', not answered'}`;
	}

	/** Everything acknowledged is in the file, and after the last was tried again nothing else. */
	#look(exactly: boolean): void {
		const db = new Database(join(this.#server.data, 'wendle.sqlite'), { readonly: true });
		const column = (sql: string): Set<string> =>
			new Set((db.prepare(sql).all() as { id: string }[]).map(({ id }) => id));
		expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
		const there: [string, Set<string>, Set<string>][] = [
			['spools', this.#spools, column('select id from spools')],
			['setups', this.#setups, column('select id from setups')],
			['records', this.#records, column('select id from records')],
			['care', this.#care, column('select id from care_events')],
			['photos', this.#photos, column('select id from photos')],
			...[...this.#events].map(([run, events]): [string, Set<string>, Set<string>] => [
				run,
				events,
				new Set(
					(db.prepare('select id from run_events where run_id = ?').all(run) as { id: string }[]).map(
						({ id }) => id
					)
				)
			])
		];
		for (const [what, acknowledged, found] of there) {
			const lost = [...acknowledged].filter((id) => !found.has(id));
			expect([`after kill ${this.#kills}`, what, lost]).toEqual([`after kill ${this.#kills}`, what, []]);
			if (exactly) expect([what, found.size]).toEqual([what, acknowledged.size]);
		}
		if (exactly)
			for (const [id, { gap, version }] of this.#gaps) {
				const row = db
					.prepare(
						'select u.fill, u.version + s.version as version from setups u join spools s on s.id = u.spool_id where u.id = ?'
					)
					.get(id) as { fill: string; version: number };
				expect([id, (JSON.parse(row.fill) as { gap: string }).gap, row.version]).toEqual([id, gap, version]);
			}
		db.close();
	}
}
