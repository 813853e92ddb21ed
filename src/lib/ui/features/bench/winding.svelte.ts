import { estimate, traverseAt, windingAfter, type Estimate, type TakenAs } from '$lib/core';
import { readingsOf } from '$lib/bench/readings';
import type { Part } from '$lib/setup/read-strands';
import type { Workout } from '$lib/setup/evaluate-form';
import type { Run } from '../../state/run.svelte';

/** Turns before the stop at which it is said. */
const WARN_TURNS = 25;
/** Turns by which a count may be off when it is as good as there: so many, or this share of all. */
const NEARLY = { turns: 10, share: 0.03 };
/** Depth by which a surface may miss its stop when it is as good as there, mm. */
const NEARLY_DEEP_MM = 1;
/** How many times the planned length a count can follow. */
const BEYOND = 4;

/** One reading of a run with what it said and what it changed. */
export interface ReadingNow {
	readonly id: string;
	readonly told: Estimate['readings'][number];
}

/**
 * One part while it is wound: what is on, what is left, how deep it should stand, where it should lie. All of it is read from one
 * estimate of the set-up and everything that was read and counted in this run.
 */
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
	/** Turns of the spool for one that is counted. What is told and taken here is in turns as they are counted; the run keeps those of the spool. */
	readonly gear = $derived.by(() => this.#workout().gear);
	readonly #ofSpool = $derived.by(() => this.#run.state.turns.get(this.part.id) ?? 0);
	readonly counted = $derived.by(() => this.#ofSpool / this.gear);
	readonly #loss = $derived.by(() => this.#run.state.lost.get(this.part.id));
	/** The count was lost or weighed, and nobody has set it since. */
	readonly lost = $derived.by(() => this.#loss !== undefined);
	readonly #told = $derived.by(() => readingsOf(this.#run.state, this.#workout(), this.#index()));
	/** Undefined for a stack in which no strand is wound to the gap. */
	readonly estimate = $derived.by(() => {
		const { problem, spreads } = this.#workout();
		const told = estimate(
			problem,
			this.#told.map(({ reading }) => reading),
			spreads
		);
		return told.ok ? told.value : undefined;
	});
	/** Everything that was read, the newest last. */
	readonly readings: readonly ReadingNow[] = $derived.by(() =>
		this.#told.flatMap(({ id }, i) => {
			const told = this.estimate?.readings[i];
			return id !== undefined && told ? [{ id, told }] : [];
		})
	);
	/** What was noted with a reading: when, how deep, with how many turns on. */
	noted(id: string): { at: number; depthMm: number; turns: number } | undefined {
		const found = this.#run.state.readings.find((reading) => reading.id === id);
		return (
			found && { at: found.at, depthMm: found.depthMm, turns: (found.turns.get(found.part) ?? 0) / this.gear }
		);
	}
	/** The reading that nobody has explained yet, if there is one. */
	readonly surprise = $derived.by(() => this.readings.findLast(({ told }) => told.surprise));
	/** Something tells how much is on: a count that holds, or a depth since it was lost. */
	readonly placed = $derived.by(() => {
		if (!this.#loss || this.#loss.sigmaTurns !== undefined) return true;
		return this.#run.state.readings.some(
			({ part, lost, id }) =>
				part === this.part.id && lost.get(part)?.id === this.#loss?.id && !this.#isSurprise(id)
		);
	});
	#isSurprise = (id: string): boolean => this.readings.some((r) => r.id === id && r.told.surprise);
	/** Turns that are on. */
	readonly #on = $derived.by(() => (this.lost ? (this.estimate?.going?.turns.value ?? 0) : this.#ofSpool));
	readonly turns = $derived.by(() => this.#on / this.gear);
	/** η as the readings have it, else the planned one. */
	readonly lay = $derived.by(() => this.estimate?.going?.layEfficiency.value ?? this.component.layEfficiency);
	readonly #startRadiusMm = $derived.by(() => {
		const start = this.estimate?.going?.startDepthMm.value;
		return start === undefined
			? this.layer.innerRadiusMm
			: Math.max(this.spool.rimRadiusMm - start, this.spool.arborRadiusMm);
	});
	readonly now = $derived.by(() =>
		windingAfter(this.spool, this.#startRadiusMm, this.component, this.#on, this.lay)
	);
	readonly depthMm = $derived.by(() => this.estimate?.going?.depthMm.value ?? this.now.depthMm);
	readonly lengthMm = $derived.by(() => this.estimate?.going?.lengthMm.value ?? this.now.lengthMm);
	/** Depth at which it ends: for the strand that is wound to the gap, the one that leaves the gap. */
	readonly stopDepthMm = $derived.by(() => this.estimate?.going?.endDepthMm.value ?? this.layer.depthMm);
	readonly left = $derived.by(
		() => (this.estimate?.going?.turnsLeft.value ?? this.now.turnsLeft) / this.gear
	);
	/** The final gap, wound to that depth, or as it comes with what is on. */
	readonly gap = $derived.by(() => (this.toDepth ? this.estimate?.gap.byDepth : this.estimate?.gap.asItIs));
	/** How near the stop is. A count that has not begun is near nothing, however short the part. */
	readonly stage: 'on' | 'near' | 'stop' = $derived.by(() =>
		this.left < 0.5 ? 'stop' : this.turns > 0 && this.left <= WARN_TURNS ? 'near' : 'on'
	);
	/** Turns that it takes in all. */
	readonly whole = $derived.by(() => this.turns + this.left);
	/**
	 * Nothing says yet that all of it is on. What is wound to its depth is asked for, counted or not; of any other strand one sees
	 * that it is on, and only a count that was begun speaks against it.
	 */
	readonly unfinished = $derived.by(() => {
		const read = this.#run.state.depths.get(this.part.id);
		if (this.toDepth && read && read.depthMm <= this.stopDepthMm + NEARLY_DEEP_MM) return false;
		if (!this.toDepth && this.turns <= 0) return false;
		return !this.placed || this.left > Math.max(NEARLY.turns, NEARLY.share * this.whole);
	});
	/** A depth of it was read. */
	readonly measured = $derived.by(() => this.#run.state.depths.has(this.part.id));
	readonly traverse = $derived.by(() =>
		traverseAt(this.spool, this.#startRadiusMm, this.component, this.now, this.lay)
	);

	add(turns: number, by: 'hand' | 'pace' | 'set' = 'hand'): void {
		void this.#run.add({
			kind: 'turns',
			part: this.part.id,
			turns: turns * this.gear,
			...(by !== 'hand' && { by })
		});
	}
	/** The count as a weight has it, with its 1σ, in turns of the spool. */
	weigh(turns: number, sigmaTurns: number): void {
		const { id: part } = this.part;
		void this.#run.add({ kind: 'turns', part, turns: turns - this.#ofSpool, by: 'weight', sigmaTurns });
	}
	setCount(turns: number): void {
		this.add(turns - this.counted, 'set');
	}
	loseCount(): void {
		void this.#run.add({ kind: 'lost-count', part: this.part.id });
	}
	readDepth(depthMm: number): void {
		void this.#run.add({ kind: 'depth', part: this.part.id, depthMm });
	}
	takeAs(reading: string, as: TakenAs): void {
		void this.#run.add({ kind: 'taken-as', of: reading, as });
	}
	/** Takes a reading out. */
	strike(reading: string): void {
		void this.#run.add({ kind: 'undo', of: reading });
	}
}
