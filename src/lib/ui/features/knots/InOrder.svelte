<script lang="ts">
	import { practiceWraps, type Exercise, type DrawnKnot } from '$lib/core';
	import KnotDiagram from '../../charts/knot/KnotDiagram.svelte';
	import { FRONT } from '../../charts/knot/layout';

	/** Stages to put in order, by tapping them one after another; tapping again removes one. */
	interface Props {
		knot: DrawnKnot;
		exercise: Extract<Exercise, { kind: 'order' }>;
		answered: (right: boolean) => void;
	}
	let { knot, exercise, answered }: Props = $props();
	let tapped = $state<number[]>([]);
	const done = $derived(tapped.length === exercise.laidOut.length);
	const wraps = $derived(practiceWraps(knot));

	function tap(stage: number): void {
		if (done) return;
		tapped = tapped.includes(stage) ? tapped.filter((one) => one !== stage) : [...tapped, stage];
		if (tapped.length === exercise.laidOut.length) answered(tapped.every((one, i) => one === i));
	}
</script>

<ol class="mt-4 grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
	{#each exercise.laidOut as stage, i (stage)}
		{@const place = tapped.indexOf(stage)}
		<li>
			<button
				type="button"
				class="block w-full border-2 bg-paper p-2 text-left {place >= 0
					? 'border-ink'
					: 'border-hair hover:border-ink'}"
				aria-pressed={place >= 0}
				aria-label="Picture {i + 1}{place >= 0 ? `, number ${place + 1}` : ''}"
				onclick={() => tap(stage)}
			>
				<span class="block h-32"
					><KnotDiagram
						strands={knot.stages[stage]!.strands(wraps)}
						view={FRONT}
						label="Picture {i + 1}"
					/></span
				>
				<span class="figure block min-h-6 text-[15px]">
					{#if place >= 0}<b class="px-1 marked">{place + 1}</b>{/if}
					{#if done}
						{knot.stages[stage]!.title}{place === stage ? '' : `: number ${stage + 1}`}
					{/if}
				</span>
			</button>
		</li>
	{/each}
</ol>
