/** Where saving stands. `held` means something newer is saved elsewhere and waits for a decision. */
export type SaveState = 'untouched' | 'waiting' | 'saving' | 'saved' | 'failed' | 'held';

export type SaveOutcome = 'saved' | 'failed' | 'held';

/** Pause in typing after which a change is saved, ms. */
const PAUSE_MS = 450;
/** Time until a save that failed is tried again, ms. */
const RETRY_MS = 3000;

/**
 * Saves the newest state after a pause, one request at a time, and again until it has gone through.
 * `save` is called with nothing and takes the state as it then is.
 */
export class Autosave {
	state = $state<SaveState>('untouched');
	#timer: ReturnType<typeof setTimeout> | undefined;
	#running: Promise<void> | undefined;
	#again = false;
	readonly #save: () => Promise<SaveOutcome>;

	constructor(save: () => Promise<SaveOutcome>) {
		this.#save = save;
	}

	/** Something changed. */
	touch(): void {
		if (this.state === 'held') return;
		this.#again = true;
		if (this.state !== 'saving') this.state = 'waiting';
		this.#schedule(PAUSE_MS);
	}

	/** Saves what there is now; resolves when it has been tried. */
	async flush(): Promise<void> {
		clearTimeout(this.#timer);
		while (this.#running) await this.#running;
		if (this.#again && this.state !== 'held') {
			this.#running = this.#run();
			await this.#running;
		}
	}

	/** Something is not saved yet. */
	get pending(): boolean {
		return this.#again || this.#running !== undefined;
	}

	/** Goes on after the person decided what to do with the other version. */
	release(): void {
		this.state = 'saved';
	}

	stop(): void {
		clearTimeout(this.#timer);
	}

	#schedule(delayMs: number): void {
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => void this.flush(), delayMs);
	}

	async #run(): Promise<void> {
		this.#again = false;
		this.state = 'saving';
		const outcome = await this.#save();
		this.#running = undefined;
		if (outcome === 'failed') this.#again = true;
		this.state = outcome === 'saved' && this.#again ? 'waiting' : outcome;
		if (this.#again && outcome !== 'held') this.#schedule(outcome === 'failed' ? RETRY_MS : PAUSE_MS);
	}
}
