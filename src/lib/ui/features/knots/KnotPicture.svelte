<script lang="ts">
	import { finishedKnots, recast, wrapsOf, type Knot, type Recast } from '$lib/core';
	import KnotDiagram from '../../charts/knot/KnotDiagram.svelte';
	import NoDrawing from './NoDrawing.svelte';
	import { FRONT } from '../../charts/knot/layout';

	/** A knot as it looks when it is tied. Its place is kept while the curves are fetched. */
	let { knot, wraps, as }: { knot: Knot; wraps?: number | undefined; as?: Recast | undefined } = $props();
</script>

{#await finishedKnots() then finished}
	<KnotDiagram
		strands={recast(finished(knot), as).stages.at(-1)!.strands(wrapsOf(knot, wraps))}
		view={FRONT}
		label="{knot.name}, finished"
	/>
{:catch}
	<NoDrawing />
{/await}
