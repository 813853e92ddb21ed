import { expectedSeconds, remediesAt, type Step, type Tempo, type Remedy } from '$lib/core';
import type { Work } from '$lib/bench/work';
import { SvelteSet } from 'svelte/reactivity';
import type { Run } from '../../state/run.svelte';

/** What is known of the run before the browser has opened its log. */
export interface Begun {
	readonly id: string;
	readonly done: readonly string[];
	readonly tools: readonly string[];
}

/** The job as it stands: its steps, which of them are done, which one is in hand. */
export class BenchState {
	readonly #work: () => Work;
	readonly #tempo: Tempo;
	readonly #begun: Begun | undefined;
	readonly run: Run;
	/** Somebody has gone to a step since the job was opened: they are left where they are. */
	#moved: boolean;
	/** The step in hand, by its id: a technique that is changed may give it another place. None past the last one. */
	#step = $state<string>();
	/** Where it was: its place when it is no step of this job any more. */
	#place = $state(0);
	readonly at: number = $derived.by(() => {
		if (this.#step === undefined) return this.steps.length;
		const at = this.steps.findIndex(({ id }) => id === this.#step);
		return at < 0 ? Math.min(this.#place, this.steps.length) : at;
	});

	readonly steps: readonly Step[] = $derived.by(() => this.#work().steps);
	readonly done: ReadonlySet<string> = $derived.by(() => this.#known('done'));
	readonly tools: ReadonlySet<string> = $derived.by(() => this.#known('tools'));
	readonly step: Step | undefined = $derived.by(() => this.steps[this.at]);
	/** Past the last step: the winding is saved. */
	readonly recording = $derived.by(() => this.at >= this.steps.length);
	readonly remedies: readonly Remedy[] = $derived.by(() =>
		remediesAt(this.steps, this.at, this.#work().stopPart)
	);
	/** Expected seconds of the steps that are open, at this person's own tempo. */
	readonly secondsLeft = $derived.by(() =>
		this.steps.filter(({ id }) => !this.done.has(id)).reduce((sum, step) => sum + this.seconds(step), 0)
	);

	/** @param wound it was wound elsewhere, so the winding is saved at once */
	constructor(work: () => Work, tempo: Tempo, begun: Begun | undefined, run: Run, wound = false) {
		this.#work = work;
		this.#tempo = tempo;
		this.#begun = begun;
		this.run = run;
		this.#moved = wound;
		this.#show(wound ? this.steps.length : this.firstOpen());
	}

	/** The run may be further on than the server's first page said; whoever has moved meanwhile is left where they are. */
	catchUp(): void {
		if (!this.#moved) this.#show(this.firstOpen());
	}

	/** Until the run is there, what the first page knew of it, and what was done since. */
	#known(what: 'done' | 'tools'): ReadonlySet<string> {
		const now = this.run.state[what];
		return this.run.loaded ? now : new SvelteSet([...(this.#begun?.[what] ?? []), ...now]);
	}

	firstOpen(): number {
		const open = this.steps.findIndex(({ id }) => !this.done.has(id));
		return open < 0 ? this.steps.length : open;
	}

	seconds(step: Step): number {
		return expectedSeconds(step, this.#tempo);
	}

	tick(step: Step, done: boolean): void {
		const plannedSeconds = Math.round(step.seconds);
		void this.run.add({ kind: 'step', step: step.id, done, ...(done && { plannedSeconds }) });
	}

	/** Ticks the step in hand and goes on to the next one that is open: what is done between them is left alone. */
	finish(): void {
		if (!this.step) return;
		const { at } = this;
		this.tick(this.step, true);
		const next = this.steps.findIndex(({ id }, i) => i > at && !this.done.has(id));
		this.go(next < 0 ? this.steps.length : next);
	}

	/** Back to the step before, which is then in hand again: its tick goes. */
	back(): void {
		const before = this.steps[this.at - 1];
		if (before && this.done.has(before.id)) this.tick(before, false);
		this.go(this.at - 1);
	}

	go(to: number): void {
		this.#moved = true;
		this.#show(to);
	}

	#show(to: number): void {
		this.#place = Math.min(Math.max(to, 0), this.steps.length);
		this.#step = this.steps[this.#place]?.id;
	}

	goTo(id: string): void {
		const at = this.steps.findIndex((step) => step.id === id);
		if (at >= 0) this.go(at);
	}

	/** Goes back to where something can be put right: steps open again, and what comes off no longer counts. */
	putRight({ key, back, reopens, off }: Remedy): void {
		if (!this.step) return;
		void this.run.add({ kind: 'remedy', remedy: key, step: this.step.id, back, reopens, off });
		this.goTo(back);
	}
}
