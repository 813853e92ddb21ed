<script lang="ts">
	import type { Step, Tool } from '$lib/core';
	import type { Workout } from '$lib/setup/evaluate-form';
	import type { CounterLink } from '../../state/counter-link.svelte';
	import type { Run } from '../../state/run.svelte';
	import type { BenchState } from './bench-state.svelte';
	import CoilLabel from './CoilLabel.svelte';
	import Counter from './counting/Counter.svelte';
	import GapReading from './GapReading.svelte';
	import LoopReading from './LoopReading.svelte';
	import ToolList from './ToolList.svelte';
	import TugResult from './TugResult.svelte';
	import type { WindingState } from './winding.svelte';

	/** What a step asks to be ticked, counted, measured or written. */
	interface Props {
		bench: BenchState;
		step: Step;
		run: Run;
		winding: WindingState;
		link: CounterLink;
		workout: Workout;
		tools: readonly Tool[];
		/** The hand that winds. */
		hand: 'left' | 'right';
		/** What a coil is called when nobody says otherwise. */
		coilName: (part: string) => string;
	}
	let { bench, step, run, winding, link, workout, tools, hand, coilName }: Props = $props();
</script>

{#if step.kind === 'tools'}
	<ToolList {tools} here={bench.tools} ontick={(tool, here) => void run.add({ kind: 'tool', tool, here })} />
{:else if step.kind === 'wind'}
	<Counter {run} {winding} {link} {hand} />
{:else if step.kind === 'gap'}
	<GapReading {run} {winding} wantedMm={workout.fit.gapMm} />
{:else if step.kind === 'tie'}
	{#key step.id}
		<CoilLabel {run} part={step.part!} usual={coilName(step.part!)} />
	{/key}
{:else if step.kind === 'tug'}
	<TugResult {run} />
{:else if step.kind === 'loop-test'}
	<LoopReading {run} />
{/if}
