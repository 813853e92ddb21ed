<script lang="ts">
	import { wrapsOf, type Knot } from '$lib/core';
	import KnotDiagram from '../../charts/knot/KnotDiagram.svelte';
	import { FRONT } from '../../charts/knot/layout';

	/** A knot as it looks when it is tied. */
	let { knot, wraps }: { knot: Knot; wraps?: number | undefined } = $props();
</script>

<KnotDiagram
	strands={knot.stages.at(-1)!.strands(wrapsOf(knot, wraps))}
	view={FRONT}
	label="{knot.name}, finished"
/>
