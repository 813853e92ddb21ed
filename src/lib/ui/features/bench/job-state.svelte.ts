import type { Step, StepKey } from '$lib/core';
import { SvelteMap, SvelteSet } from 'svelte/reactivity';
import { send } from '../../state/api';
import { Autosave, type SaveOutcome } from '../../state/autosave.svelte';

/** The job as it stands: which steps are ticked, which one is in hand. Ticks are sent until they arrive. */
export class JobState {
	readonly done: SvelteSet<StepKey>;
	at = $state(0);
	readonly autosave: Autosave;
	readonly #steps: () => readonly Step[];
	readonly #setupId: string;
	readonly #unsent = new SvelteMap<StepKey, boolean>();

	constructor(setupId: string, ticks: readonly StepKey[], steps: () => readonly Step[]) {
		this.#setupId = setupId;
		this.#steps = steps;
		this.done = new SvelteSet(ticks);
		this.autosave = new Autosave(() => this.#send());
		const open = steps().findIndex(({ key }) => !this.done.has(key));
		this.at = open < 0 ? steps().length : open;
	}

	/** Past the last step: what came out is written down. */
	readonly recording = $derived.by(() => this.at >= this.#steps().length);

	tick(key: StepKey, done: boolean): void {
		if (done) this.done.add(key);
		else this.done.delete(key);
		this.#unsent.set(key, done);
		this.autosave.touch();
	}

	/** Ticks the step in hand and goes on to the next. */
	finish(): void {
		const step = this.#steps()[this.at];
		if (!step) return;
		this.tick(step.key, true);
		this.go(this.at + 1);
	}

	go(to: number): void {
		this.at = Math.min(Math.max(to, 0), this.#steps().length);
	}

	async #send(): Promise<SaveOutcome> {
		for (const [step, done] of [...this.#unsent]) {
			const reply = await send('PUT', `/api/setups/${this.#setupId}/ticks`, { step, done });
			if (reply.kind !== 'ok') return 'failed';
			if (this.#unsent.get(step) === done) this.#unsent.delete(step);
		}
		return 'saved';
	}
}
