import { formatNumber } from '$lib/core';
import type { Run } from './run.svelte';
import { listen } from './stream';

/** A reading as a counter sends it; see docs/counter-protocol.md. */
interface Reading {
	readonly session: string;
	readonly seq: number;
	readonly total: number;
}

const isReading = (read: unknown): read is Reading =>
	typeof read === 'object' &&
	read !== null &&
	'session' in read &&
	typeof read.session === 'string' &&
	'seq' in read &&
	Number.isSafeInteger(read.seq) &&
	'total' in read &&
	Number.isFinite(read.total);

/** Readings are written down this often at most, ms: totals lose nothing by it. */
const WRITE_MS = 250;
/** Turns that go on while nothing is being wound belong to no part. */
const NO_PART = '-';

/**
 * The link to a turn counter: server-sent events with its running total. The browser connects again by itself;
 * whatever was missed is in the next total, and a reading that comes twice adds nothing.
 */
export class CounterLink {
	state = $state<'off' | 'connecting' | 'linked' | 'away'>('off');
	/** What the counter shows itself. */
	total = $state(0);
	/** Messages that were lost on the way; the total after them made them good. */
	missed = $state(0);
	trouble = $state<string>();
	readonly #run: Run;
	readonly #part: () => string | undefined;
	readonly #gear: () => number;
	#stop: (() => void) | undefined;
	#last: Reading | undefined;
	#written: Reading | undefined;
	#timer: ReturnType<typeof setTimeout> | undefined;

	/**
	 * @param part what is being wound now
	 * @param gear turns of the spool for one that it counts: a run keeps turns of the spool
	 */
	constructor(run: Run, part: () => string | undefined, gear: () => number = () => 1) {
		this.#run = run;
		this.#part = part;
		this.#gear = gear;
	}

	connect(url: string): void {
		this.disconnect();
		this.trouble = undefined;
		let address: URL;
		try {
			address = new URL('/turns', url);
		} catch {
			this.trouble = "That isn't an address. Write it like http://127.0.0.1:4317.";
			return;
		}
		this.state = 'connecting';
		this.#stop = listen(() => address, {
			hear: (data) => this.#hear(data),
			opened: () => (this.state = 'linked'),
			lost: () => (this.state = this.#last ? 'away' : 'connecting')
		});
	}

	#hear(data: string): void {
		let read: unknown;
		try {
			read = JSON.parse(data);
		} catch {
			read = undefined;
		}
		if (!isReading(read)) {
			this.trouble = "The counter sent something that isn't a reading. Wendle left it out.";
			return;
		}
		this.state = 'linked';
		const before = this.#last?.session === read.session ? this.#last : undefined;
		if (before && read.seq <= before.seq) return;
		if (before) this.missed += read.seq - before.seq - 1;
		const first = !this.#last;
		this.#last = read;
		this.total = read.total;
		// What it showed when it was linked is written at once: turns from here on are this run's.
		if (first) this.write(undefined, true);
		else this.#timer ??= setTimeout(() => this.write(), WRITE_MS);
	}

	/**
	 * Writes the newest reading down for what is being wound. Called as well before that changes. The first one of a
	 * link to a counter new to this run is its base; a counter that was switched off and on meanwhile counts from nothing.
	 */
	write(part = this.#part(), first = false): void {
		clearTimeout(this.#timer);
		this.#timer = undefined;
		const reading = this.#last;
		if (!reading || (this.#written?.session === reading.session && this.#written.seq === reading.seq)) return;
		this.#written = reading;
		void this.#run.ready.then(() => {
			const gear = this.#gear();
			// Counted otherwise it is another count, from its own beginning.
			const session =
				gear === 1 ? reading.session : `${reading.session.slice(0, 48)}*${formatNumber(gear, 4)}`;
			const base = first && !this.#run.state.sessions.has(session);
			const { seq, total } = reading;
			return this.#run.add({
				kind: 'counter',
				part: part ?? NO_PART,
				session,
				seq,
				total: total * gear,
				...(base && { base })
			});
		});
	}

	disconnect(): void {
		this.write();
		this.#stop?.();
		this.#stop = undefined;
		this.#last = this.#written = undefined;
		this.missed = 0;
		this.state = 'off';
	}
}
