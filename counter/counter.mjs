/**
 * A turn counter that is not there: a process of its own that counts turns as a sensor on a reel would, and tells
 * them to whoever listens. Its page drives it: pace, direction, jitter, messages that get lost, a link that drops.
 * The protocol is in docs/counter-protocol.md. Node built-ins only.
 */
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';

/** The simulated sensor: turns at a pace, forward or backward, each a little early or late. */
export class Counter {
	/** One switching-on. */
	session = randomUUID();
	/** Number of the newest message, and the turns since switching on, backward ones taken off. */
	seq = 0;
	total = 0;
	settings = {
		running: false,
		/** Turns a minute; negative is backward. */
		pace: 60,
		/** How far a turn may come early or late, as a share of its time. */
		jitter: 0.1,
		/** Share of the messages that are lost on the way. */
		loss: 0,
		/** The link is up. */
		linked: true
	};
	/** Messages that were lost, for the page. */
	lost = 0;
	/** @type {Set<(reading: Reading) => void>} */
	#listeners = new Set();
	/** @type {Set<() => void>} */
	#links = new Set();
	/** @type {NodeJS.Timeout | undefined} */
	#timer;
	#dueAt = 0;

	/** @typedef {{ session: string, seq: number, total: number }} Reading */

	/** @returns {Reading} */
	get reading() {
		return { session: this.session, seq: this.seq, total: this.total };
	}

	/** @param {(reading: Reading) => void} hear @param {() => void} drop */
	listen(hear, drop) {
		this.#listeners.add(hear);
		this.#links.add(drop);
		return () => {
			this.#listeners.delete(hear);
			this.#links.delete(drop);
		};
	}

	/** @param {number} turns one more, or one less */
	turn(turns) {
		this.total += turns;
		this.seq++;
		if (Math.random() < this.settings.loss) this.lost++;
		else for (const hear of this.#listeners) hear(this.reading);
	}

	/** Turns that have come due: at a high pace more than one between two looks at the clock. */
	#run() {
		const { pace, jitter, running } = this.settings;
		if (!running || pace === 0) return;
		const now = performance.now();
		while (this.#dueAt <= now) {
			this.turn(Math.sign(pace));
			const every = 60_000 / Math.abs(pace);
			this.#dueAt += every * (1 + jitter * (2 * Math.random() - 1));
		}
		this.#timer = setTimeout(() => this.#run(), Math.max(0, this.#dueAt - now));
	}

	/** @param {Partial<Counter['settings']>} changed */
	set(changed) {
		const wasLinked = this.settings.linked;
		Object.assign(this.settings, changed);
		if (wasLinked && !this.settings.linked) for (const drop of [...this.#links]) drop();
		clearTimeout(this.#timer);
		if (this.settings.running && this.settings.pace !== 0) {
			this.#dueAt = performance.now() + 60_000 / Math.abs(this.settings.pace);
			this.#run();
		}
	}

	/** Switched off and on: it begins at nothing, under another session. */
	reset() {
		this.session = randomUUID();
		this.seq = this.total = this.lost = 0;
	}

	stop() {
		clearTimeout(this.#timer);
		for (const drop of [...this.#links]) drop();
	}
}

/** What the page may set, each with the numbers that make sense. */
const RANGES = { pace: [-12_000, 12_000], jitter: [0, 0.9], loss: [0, 1] };

/** @param {unknown} body @returns {Partial<Counter['settings']> | undefined} */
function settingsOf(body) {
	if (typeof body !== 'object' || body === null) return undefined;
	/** @type {Record<string, number | boolean>} */
	const read = {};
	for (const [key, value] of Object.entries(body)) {
		if (key === 'running' || key === 'linked') {
			if (typeof value !== 'boolean') return undefined;
		} else if (key in RANGES) {
			const [low = 0, high = 0] = RANGES[/** @type {keyof typeof RANGES} */ (key)];
			if (typeof value !== 'number' || !(value >= low && value <= high)) return undefined;
		} else return undefined;
		read[key] = value;
	}
	return read;
}

/** @param {import('node:http').IncomingMessage} request @returns {Promise<unknown>} */
async function bodyOf(request) {
	let text = '';
	for await (const chunk of request) {
		text += chunk;
		if (text.length > 1000) return undefined;
	}
	try {
		return text === '' ? {} : JSON.parse(text);
	} catch {
		return undefined;
	}
}

const PAGE = new URL('./page.html', import.meta.url);
const OPEN = { 'access-control-allow-origin': '*', 'cache-control': 'no-store' };

/** Serves a counter: its turns as server-sent events, its state, its page. @param {Counter} counter */
export function counterServer(counter) {
	/** @type {Record<string, (request: import('node:http').IncomingMessage, response: import('node:http').ServerResponse) => unknown>} */
	const routes = {
		'GET /': (_, response) =>
			response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' }).end(readFileSync(PAGE)),
		'GET /state': (_, response) =>
			json(response, { ...counter.reading, ...counter.settings, lost: counter.lost }),
		'GET /turns': (_, response) => {
			if (!counter.settings.linked) return response.writeHead(503, OPEN).end();
			response.writeHead(200, { ...OPEN, 'content-type': 'text/event-stream' });
			// A line that was cut is tried again soon: a hand does not wait.
			response.write('retry: 500\n\n');
			const tell = (/** @type {unknown} */ reading) => response.write(`data: ${JSON.stringify(reading)}\n\n`);
			tell(counter.reading);
			response.on(
				'close',
				counter.listen(tell, () => response.destroy())
			);
		},
		'POST /settings': async (request, response) => {
			const settings = settingsOf(await bodyOf(request));
			if (!settings) return json(response, { error: 'Not a setting: see the protocol.' }, 400);
			counter.set(settings);
			json(response, counter.settings);
		},
		'POST /turn': async (request, response) => {
			const body = /** @type {any} */ (await bodyOf(request));
			const turns = body?.turns;
			if (!Number.isSafeInteger(turns) || Math.abs(turns) > 1000)
				return json(response, { error: 'Give turns, a whole number.' }, 400);
			for (let i = 0; i < Math.abs(turns); i++) counter.turn(Math.sign(turns));
			json(response, counter.reading);
		},
		'POST /reset': (_, response) => {
			counter.reset();
			json(response, counter.reading);
		}
	};
	return createServer((request, response) => {
		const path = (request.url ?? '/').split('?')[0];
		if (request.method === 'OPTIONS')
			return response.writeHead(204, { ...OPEN, 'access-control-allow-headers': 'content-type' }).end();
		const route = routes[`${request.method} ${path}`];
		if (!route) return json(response, { error: 'Nothing here.' }, 404);
		return route(request, response);
	});
}

/** @param {import('node:http').ServerResponse} response @param {unknown} data */
function json(response, data, status = 200) {
	response.writeHead(status, { ...OPEN, 'content-type': 'application/json' }).end(JSON.stringify(data));
}
