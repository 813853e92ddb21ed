import { layShown, traverseAt, turnsToRadius, windingAfter } from '$lib/core';
import type { Part } from '$lib/setup/read-strands';
import type { Workout } from '$lib/setup/evaluate-form';
import type { Run } from '../../state/run.svelte';

/** Turns before the stop at which it is said. */
const WARN_TURNS = 25;
/** How many times the planned length a count can follow. */
const BEYOND = 4;

/** One part while it is wound: what is on, what is left, how deep it should stand, where it should lie. */
export class WindingState {
	readonly #run: Run;
	readonly #workout: () => Workout;
	readonly #index: () => number;

	constructor(run: Run, workout: () => Workout, index: () => number) {
		this.#run = run;
		this.#workout = workout;
		this.#index = index;
	}

	readonly part: Part = $derived.by(() => this.#workout().parts[this.#index()]!);
	readonly layer = $derived.by(() => this.#workout().fit.layers[this.#index()]!);
	readonly spool = $derived.by(() => this.#workout().known.spool);
	/** Wound until it stands so deep; any other part is wound until it is on. */
	readonly toDepth = $derived.by(() => this.#workout().fit.solved?.index === this.#index());
	/** A backing that is looked for may go on past its plan: the count has to follow it there. */
	readonly component = $derived.by(() => {
		const planned = this.#workout().stack[this.#index()]!;
		if (!this.toDepth) return planned;
		return { ...planned, sections: planned.sections.map((s) => ({ ...s, lengthMm: BEYOND * s.lengthMm })) };
	});
	readonly turns = $derived.by(() => this.#run.state.turns.get(this.part.id) ?? 0);
	readonly reading = $derived.by(() => this.#run.state.depths.get(this.part.id));
	/** η that the last pause has shown, else the planned one. */
	readonly lay = $derived.by(() =>
		layShown(this.spool, this.layer.innerRadiusMm, this.component, this.reading)
	);
	readonly now = $derived.by(() =>
		windingAfter(this.spool, this.layer.innerRadiusMm, this.component, this.turns, this.lay)
	);
	/** Turns to the planned surface at that lay: a level strand goes on until it is there, a line until it is on. */
	readonly target = $derived.by(() =>
		this.toDepth
			? turnsToRadius(
					this.spool,
					this.layer.innerRadiusMm,
					this.layer.outerRadiusMm,
					this.component.sections[0]!.startDiameterMm,
					this.lay
				)
			: this.turns + this.now.turnsLeft
	);
	readonly left = $derived.by(() => this.target - this.turns);
	/** How near the stop is. A count that has not begun is near nothing, however short the part. */
	readonly stage: 'on' | 'near' | 'stop' = $derived.by(() =>
		this.left < 0.5 ? 'stop' : this.turns > 0 && this.left <= WARN_TURNS ? 'near' : 'on'
	);
	readonly traverse = $derived.by(() =>
		traverseAt(this.spool, this.layer.innerRadiusMm, this.component, this.now, this.lay)
	);

	add(turns: number, by: 'hand' | 'pace' | 'weight' = 'hand'): void {
		void this.#run.add({ kind: 'turns', part: this.part.id, turns, ...(by !== 'hand' && { by }) });
	}
	readDepth(depthMm: number): void {
		void this.#run.add({ kind: 'depth', part: this.part.id, depthMm });
	}
}
