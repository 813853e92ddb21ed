import { browser } from '$app/environment';
import { runState, undoOf, type LogEntry, type RunEvent } from '$lib/core';
import type { RunEvents } from '$lib/bench/run';
import { v4 as uuid } from 'uuid';
import { without } from './events';
import { addedEvents, runEvents } from './answers';
import { ofPlace, readAs, send, type Reply } from './api';
import { RunLog } from './run-log';
import { listen } from './stream';

export type Added = RunEvent extends infer E ? (E extends RunEvent ? Omit<E, 'id' | 'at'> : never) : never;

/** What a server that does not take it says: that it does not answer is said otherwise. */
const whatIsWrong = (reply: Reply<unknown>): string | undefined =>
	reply.kind === 'unreachable'
		? reply.message
		: reply.kind === 'refused'
			? reply.issues[0]?.message
			: undefined;

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
	/** What was done in this run before is there: from this browser's log, or told by the server. */
	loaded = $state(false);
	/** Whether the server has everything. */
	sync = $state<'idle' | 'waiting' | 'saved' | 'away'>('idle');
	/** How many entries the server had when it had everything: one save is told from the next. */
	entries = $state(0);
	/** Something that the server does not have is in this page only: the browser would not keep it. */
	onlyHere = $state(false);
	/** What the server says is wrong with itself. */
	trouble = $state<string>();
	/** Another window has ended the job: what is counted from then on goes with it, and begins nothing new. */
	over = $state(false);
	readonly #log = new RunLog();
	readonly #setupId: string;
	readonly #job: string;
	/** Under what this browser keeps which run it is: each job of a set-up has its own. */
	readonly #key: string;
	#id: string | undefined;
	/** How far this browser has followed the server. */
	#arrival = 0;
	#unsent: RunEvent[] = [];
	#photosUnsent = false;
	#sending = false;
	#attempts = 0;
	#timer: ReturnType<typeof setTimeout> | undefined;
	#unfollow: (() => void) | undefined;
	readonly ready: Promise<void>;

	/**
	 * @param job what is done with the set-up: see `bench-job.ts`
	 * @param serverRun the run of that job that the server says this set-up is in
	 */
	constructor(setupId: string, job: string, serverRun: string | undefined) {
		this.#setupId = setupId;
		this.#job = job;
		this.#key = job === 'wind' ? setupId : `${setupId}/${job}`;
		// The server draws the page as the run begins, so that nothing moves when the browser opens it.
		this.ready = browser ? this.#open(serverRun) : Promise.resolve();
	}

	async #open(serverRun: string | undefined): Promise<void> {
		performance.mark('run-opening');
		await this.#load(serverRun);
		// What another window has seen meanwhile comes before the page counts as loaded, if it comes soon.
		if (serverRun) await this.#catchUp(serverRun);
		// A run that the server has, and that this browser never saw, is not known until the server tells.
		this.loaded ||= !serverRun || this.#arrival > 0;
		performance.measure('run-opened', 'run-opening');
		if (serverRun) this.#follow();
		this.#photosUnsent = (await this.#log.unsentPhotos()).length > 0;
		if (this.pending) this.#push();
	}

	/**
	 * What this browser kept. What was counted here while the server was away joins the run that everyone sees, or begins
	 * one. A run that the server no longer has, and that owes it nothing, is over.
	 */
	async #load(serverRun: string | undefined): Promise<void> {
		const known = await this.#log.runOf(this.#key);
		const own = known?.run;
		const stranded = own && own !== serverRun ? (await this.#log.load(own)).unsent : [];
		this.#id = serverRun ?? (stranded.length > 0 ? own : undefined);
		if (!this.#id) return;
		if (own === this.#id) this.#arrival = known?.arrival ?? 0;
		await this.#log.setRun(this.#key, this.#id, this.#arrival);
		if (serverRun && stranded.length > 0) await this.#log.put(serverRun, stranded, false);
		const { events, unsent } = await this.#log.load(this.#id);
		this.#merge(events);
		this.#unsent = unsent;
	}

	async #catchUp(run: string): Promise<void> {
		const reply = await send('GET', `/api/runs/${run}/events?after=${this.#arrival}`, undefined, {
			answer: runEvents
		});
		if (reply.kind === 'ok') await this.#receive(run, reply.value);
	}

	/** What the server has: on the screen, then in the browser's log. */
	async #receive(run: string, { events, arrival }: RunEvents): Promise<void> {
		this.#merge(events);
		this.loaded = true;
		await this.#log.put(run, events, true);
		if (arrival <= this.#arrival) return;
		this.#arrival = arrival;
		await this.#log.setRun(this.#key, run, arrival);
	}

	#merge(events: readonly RunEvent[]): void {
		const fresh = without(events, this.#events);
		if (fresh.length > 0) this.#events = [...this.#events, ...fresh];
	}

	#follow(): void {
		const run = this.#id;
		if (this.#unfollow || !run) return;
		this.#unfollow = listen(() => `/api/runs/${run}/live?after=${this.#arrival}`, {
			hear: (data) => void this.#hear(run, data)
		});
	}

	async #hear(run: string, data: string): Promise<void> {
		// Without the shape there is no server either: it tells the same again when it is back.
		const news = await readAs(runEvents, JSON.parse(data)).catch(() => undefined);
		if (news) await this.#receive(run, news);
	}

	/** Adds events: on the screen at once, in the browser's log next, on the server when it can be. */
	async add(...added: Added[]): Promise<void> {
		const at = Date.now();
		const events = added.map((event) => ({ ...event, id: uuid(), at }) as RunEvent);
		this.#merge(events);
		if (added.length > 0 && this.sync !== 'away') this.sync = 'waiting';
		await this.ready;
		if (!this.#id) {
			this.#id = uuid();
			await this.#log.setRun(this.#key, this.#id, 0);
		}
		this.#unsent.push(...events);
		await this.#log.put(this.#id, events, false);
		this.onlyHere = this.#log.onlyHere;
		this.#push();
	}

	/** Undoes an entry of the log, the last one when none is named. */
	async undo(entry: LogEntry | undefined = this.state.undoable): Promise<void> {
		if (entry) await this.add(...undoOf(entry));
	}

	/** Keeps a photo with a step: the picture first, then the word that there is one. */
	async addPhoto(jpeg: Blob, step: string): Promise<void> {
		const id = uuid();
		await this.#log.putPhoto({ id, jpeg, sent: 0 });
		this.onlyHere = this.#log.onlyHere;
		this.#photosUnsent = true;
		await this.add({ kind: 'photo', photo: id, step });
	}

	/** Where a photo can be seen: here while it is not sent, else on the server. */
	async photoUrl(id: string): Promise<string> {
		const kept = await this.#log.photo(id);
		return kept ? URL.createObjectURL(kept) : `/api/photos/${id}`;
	}

	#push(): void {
		this.sync = 'waiting';
		clearTimeout(this.#timer);
		void this.#send();
	}

	/** Everything that is not sent, one send at a time; a server that is away, or a send that fell over, is tried again. */
	async #send(): Promise<void> {
		if (this.#sending) return;
		this.#sending = true;
		let reached = false;
		try {
			reached = await this.#sendAll();
		} catch {
			// Whatever it was, what is not sent is still here.
		} finally {
			this.#sending = false;
			this.onlyHere = this.#log.onlyHere;
		}
		if (reached) {
			this.#attempts = 0;
			this.sync = 'saved';
			this.entries = this.#events.length;
			this.#follow();
			return;
		}
		this.sync = 'away';
		const wait = RETRY_MS[Math.min(this.#attempts++, RETRY_MS.length - 1)]!;
		this.#timer = setTimeout(() => void this.#send(), wait);
	}

	/** One portion after another. False when the server does not have all of it. */
	async #sendAll(): Promise<boolean> {
		if (!(await this.#sendPhotos())) return false;
		const run = this.#id;
		while (run && this.#unsent.length > 0) {
			const portion = this.#unsent.slice(0, PORTION);
			if (!(await this.#deliver(run, portion))) return false;
			this.#unsent = without(this.#unsent, portion);
			await this.#log.put(run, portion, true);
		}
		this.trouble ??= this.#photoTrouble;
		return true;
	}

	/** Why the server does not take a photo. */
	#photoTrouble: string | undefined;

	async #sendPhotos(): Promise<boolean> {
		if (!this.#photosUnsent) return true;
		let refused: string | undefined;
		for (const photo of await this.#log.unsentPhotos()) {
			const reply = await fetch(`/api/photos/${photo.id}`, {
				method: 'PUT',
				body: photo.jpeg,
				headers: ofPlace()
			}).catch(() => undefined);
			if (!reply || reply.status >= 500) return false;
			if (reply.ok) await this.#log.putPhoto({ ...photo, sent: 1 });
			else {
				// It stays in this browser, and is sent again with what comes next: there may be room, or the right to, by then.
				refused = ((await reply.json().catch(() => ({}))) as { issues?: { message: string }[] }).issues?.[0]
					?.message;
			}
		}
		this.#photosUnsent = refused !== undefined;
		this.#photoTrouble = refused;
		return true;
	}

	async #deliver(run: string, events: readonly RunEvent[]): Promise<boolean> {
		const started = await send('PUT', `/api/runs/${run}`, { setupId: this.#setupId, job: this.#job });
		const reply =
			started.kind === 'ok'
				? await send('POST', `/api/runs/${run}/events`, { events }, { answer: addedEvents })
				: started;
		this.trouble = whatIsWrong(reply);
		if (reply.kind !== 'ok') return false;
		this.over = reply.value?.ended ?? false;
		return true;
	}

	/** The run's id; none before anything happened in it. */
	get id(): string | undefined {
		return this.#id;
	}

	/** Whether anything is still on its way to the server. */
	get pending(): boolean {
		return this.#unsent.length > 0 || this.#photosUnsent;
	}

	/** Something is in this page only, and would be lost with it. */
	get atRisk(): boolean {
		return this.onlyHere;
	}

	/** What was counted is never refused for good. */
	readonly stuck = false;

	/** Waits until the server has everything, or until it proves to be away; one that was away is tried at once. */
	async flush(): Promise<boolean> {
		await this.ready;
		if (this.sync === 'away') this.#push();
		while (this.sync === 'waiting') await new Promise((settle) => setTimeout(settle, 30));
		return this.sync !== 'away';
	}

	/** The job is over: the next begins a run of its own. */
	async end(): Promise<void> {
		await this.#log.endRun(this.#key);
		this.stop();
	}

	stop(): void {
		clearTimeout(this.#timer);
		this.#unfollow?.();
		this.#unfollow = undefined;
	}
}
