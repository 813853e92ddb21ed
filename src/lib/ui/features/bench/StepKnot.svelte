<script lang="ts">
	import { drawKnot, findKnot, recast, wrapsOf, type Recast } from '$lib/core';
	import { FRONT } from '../../charts/knot/layout';
	import Legend from '../../charts/knot/Legend.svelte';
	import { Playback } from '../knots/playback.svelte';
	import { withMeanings } from '$lib/wording/meanings';
	import Prose from '../../primitives/Prose.svelte';
	import NoDrawing from '../knots/NoDrawing.svelte';
	import StageDrawing from '../knots/StageDrawing.svelte';

	/** The knot of a step, stage by stage from its first, in the place where it is tied. */
	let { slug, wraps, as }: { slug: string; wraps: number; as?: Recast | undefined } = $props();
	const knot = $derived(findKnot(slug));
	const count = $derived(knot?.stages.length ?? 0);
	// A step's knots are made anew with the step.
	// svelte-ignore state_referenced_locally
	const playback = new Playback(count, 0);
	$effect(() => () => playback.pause());
	const stage = $derived(knot?.stages[playback.stage]);
</script>

{#if knot && stage}
	<figure
		class="block max-w-lg min-w-64 flex-1 border-y border-hair bg-paper p-2"
		data-step-knot={slug}
		data-stage={playback.stage + 1}
	>
		<div class="h-44">
			{#await drawKnot(knot) then drawn}
				<StageDrawing knot={drawn} {as} wraps={wrapsOf(knot, wraps)} place={playback.place} view={FRONT} />
			{:catch}
				<NoDrawing />
			{/await}
		</div>
		{#await drawKnot(knot) then drawn}
			<Legend strands={recast(drawn, as).stages[playback.stage]!.strands(wrapsOf(knot, wraps))} />
		{/await}
		<figcaption class="text-[17px]">
			<span class="flex items-center gap-2">
				<button
					type="button"
					class="action-quiet min-h-11"
					aria-label="{knot.name}: stage before"
					disabled={playback.stage === 0}
					onclick={() => playback.go(playback.stage - 1)}>&lsaquo;</button
				>
				<button
					type="button"
					class="action-quiet min-h-11"
					aria-label="{knot.name}: next stage"
					onclick={() => playback.go((playback.stage + 1) % count)}>&rsaquo;</button
				>
				<span class="figure text-[15px] text-soft">{playback.stage + 1} of {count}</span>
				<a
					class="min-w-0 flex-1 text-right hover:underline"
					href="/knots/{slug}?stage={playback.stage + 1}&wraps={wraps}">{knot.name}</a
				>
			</span>
			<span class="block min-h-[3.9em] pt-1" aria-live="polite"
				><b>{stage.title}.</b> <Prose pieces={withMeanings([stage.instruction])[0]!} /></span
			>
		</figcaption>
	</figure>
{/if}
