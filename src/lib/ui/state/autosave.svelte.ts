/**
 * Where saving stands. `held` means something newer is saved elsewhere and waits for a decision; `refused` that the server does
 * not take what is there as it is.
 */
export type SaveState = 'untouched' | 'waiting' | 'saving' | 'saved' | 'failed' | 'refused' | 'held';

export type SaveOutcome = 'saved' | 'failed' | 'refused' | 'held';

/** Pause in typing after which a change is saved, ms. */
const PAUSE_MS = 450;
/** Time until a save that failed is tried again, ms. */
const RETRY_MS = 3000;

/**
 * Saves the newest state after a pause, one request at a time, and again until it has gone through. What was refused is
 * not sent again before it was changed.
 * `save` is called with nothing and takes the state as it then is; what it throws counts as a failure.
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
		this.#again = true;
		if (this.state === 'held') return;
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

	/** It will not be saved as it is: somebody has to change it, or choose. */
	get stuck(): boolean {
		return this.state === 'refused' || this.state === 'held';
	}

	/** It could not be saved so far, and is nowhere but in the page. */
	get atRisk(): boolean {
		return this.stuck || this.state === 'failed';
	}

	/** Something is not saved yet. */
	get pending(): boolean {
		return this.#again || this.#running !== undefined || this.stuck;
	}

	/** Goes on after the person decided what to do with the other version. */
	release(): void {
		this.state = this.#again ? 'waiting' : 'saved';
		if (this.#again) this.#schedule(0);
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
		const outcome = await this.#save().catch((): SaveOutcome => 'failed');
		this.#running = undefined;
		if (outcome === 'failed') this.#again = true;
		this.state = (outcome === 'saved' || outcome === 'refused') && this.#again ? 'waiting' : outcome;
		if (this.#again && outcome !== 'held') this.#schedule(outcome === 'failed' ? RETRY_MS : PAUSE_MS);
	}
}
