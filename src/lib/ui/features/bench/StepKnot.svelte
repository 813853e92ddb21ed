<script lang="ts">
	import { findKnot } from '$lib/core';
	import KnotDiagram from '../../charts/knot/KnotDiagram.svelte';
	import { FRONT } from '../../charts/knot/layout';

	/** The knot of a step, as it looks when it is tied; how, is one tap away. */
	let { slug, wraps }: { slug: string; wraps: number } = $props();
	const knot = $derived(findKnot(slug));
</script>

{#if knot}
	<a
		href="/knots/{slug}?wraps={wraps}"
		class="group block max-w-lg min-w-64 flex-1 border-y border-hair bg-paper p-2"
		data-step-knot={slug}
	>
		<span class="block h-44">
			<KnotDiagram
				strands={knot.stages.at(-1)!.strands(wraps)}
				view={FRONT}
				label="{knot.name}, as it should look"
			/>
		</span>
		<span class="text-[17px] group-hover:underline">{knot.name}: stage by stage</span>
	</a>
{/if}
