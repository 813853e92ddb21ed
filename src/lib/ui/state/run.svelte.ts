import { runState, type RunEvent } from '$lib/core';
import type { RunEvents } from '$lib/schema/run';
import { without } from './events';
import { send } from './api';
import { RunLog } from './run-log';

type Added = RunEvent extends infer E ? (E extends RunEvent ? Omit<E, 'id' | 'at'> : never) : never;

/** Events of one request, and how long to wait before trying a server that is away again, ms. */
const PORTION = 400;
const RETRY_MS = [500, 1000, 2000, 4000];

/**
 * A run at the bench: its events, kept in this browser first, sent to the server until it has them, and
 * followed live from other windows. The state is folded from the events alone.
 */
export class Run {
	#events = $state.raw<readonly RunEvent[]>([]);
	readonly state = $derived.by(() => runState(this.#events));
	/** Whether the server has everything. */
	sync = $state<'idle' | 'waiting' | 'saved' | 'away'>('idle');
	readonly #log = new RunLog();
	readonly #setupId: string;
	#id: string | undefined;
	#unsent: RunEvent[] = [];
	#sending = false;
	#attempts = 0;
	#timer: ReturnType<typeof setTimeout> | undefined;
	#live: EventSource | undefined;
	/** Resolves when what this browser knew is there. */
	readonly ready: Promise<void>;

	/** @param serverRun the run that the server says this set-up is in */
	constructor(setupId: string, serverRun: string | undefined) {
		this.#setupId = setupId;
		this.ready = this.#open(serverRun);
	}

	async #open(serverRun: string | undefined): Promise<void> {
		const own = await this.#log.runOf(this.#setupId);
		const stranded = own && own !== serverRun ? (await this.#log.load(own)).unsent : [];
		// What was counted here while the server was away joins the run that everyone sees, or begins one. A run
		// that the server no longer has, and that owes it nothing, is over.
		this.#id = serverRun ?? (stranded.length > 0 ? own : undefined);
		if (!this.#id) return;
		await this.#log.setRun(this.#setupId, this.#id);
		if (serverRun && stranded.length > 0) await this.#log.put(serverRun, stranded, false);
		const { events, unsent } = await this.#log.load(this.#id);
		this.#merge(events);
		this.#unsent = unsent;
		if (serverRun) this.#follow();
		if (unsent.length > 0) this.#push();
	}

	#merge(events: readonly RunEvent[]): void {
		const fresh = without(events, this.#events);
		if (fresh.length > 0) this.#events = [...this.#events, ...fresh];
	}

	#follow(): void {
		if (this.#live || !this.#id) return;
		const run = this.#id;
		this.#live = new EventSource(`/api/runs/${run}/live`);
		this.#live.onmessage = (message: MessageEvent<string>) => {
			const { events } = JSON.parse(message.data) as RunEvents;
			this.#merge(events);
			void this.#log.put(run, events, true);
		};
	}

	/** Adds an event: on the screen at once, in the browser's log next, on the server when it can be. */
	async add(added: Added): Promise<void> {
		await this.ready;
		if (!this.#id) {
			this.#id = crypto.randomUUID();
			await this.#log.setRun(this.#setupId, this.#id);
		}
		const event = { ...added, id: crypto.randomUUID(), at: Date.now() } as RunEvent;
		this.#merge([event]);
		this.#unsent.push(event);
		await this.#log.put(this.#id, [event], false);
		this.#push();
	}

	undo(): Promise<void> {
		const { undoable } = this.state;
		return undoable ? this.add({ kind: 'undo', of: undoable.id }) : Promise.resolve();
	}

	#push(): void {
		this.sync = 'waiting';
		clearTimeout(this.#timer);
		void this.#send();
	}

	/** One portion after another, one at a time, until the server has all; a server that is away is tried again. */
	async #send(): Promise<void> {
		const run = this.#id;
		if (!run || this.#sending) return;
		this.#sending = true;
		let reached = true;
		while (reached && this.#unsent.length > 0) {
			const portion = this.#unsent.slice(0, PORTION);
			reached = await this.#deliver(run, portion);
			if (!reached) break;
			this.#unsent = without(this.#unsent, portion);
			await this.#log.put(run, portion, true);
		}
		this.#sending = false;
		if (reached) {
			this.#attempts = 0;
			this.sync = 'saved';
			this.#follow();
			return;
		}
		this.sync = 'away';
		const wait = RETRY_MS[Math.min(this.#attempts++, RETRY_MS.length - 1)]!;
		this.#timer = setTimeout(() => void this.#send(), wait);
	}

	async #deliver(run: string, events: readonly RunEvent[]): Promise<boolean> {
		const started = await send('PUT', `/api/runs/${run}`, { setupId: this.#setupId });
		if (started.kind !== 'ok') return false;
		return (await send('POST', `/api/runs/${run}/events`, { events })).kind === 'ok';
	}

	/** The job is over: the next begins a run of its own. */
	async end(): Promise<void> {
		await this.#log.endRun(this.#setupId);
		this.stop();
	}

	stop(): void {
		clearTimeout(this.#timer);
		this.#live?.close();
		this.#live = undefined;
	}
}
