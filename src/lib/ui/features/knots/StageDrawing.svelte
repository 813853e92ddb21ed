<script lang="ts">
	import { momentOf, type DrawnKnot } from '$lib/core';
	import KnotDiagram from '../../charts/knot/KnotDiagram.svelte';
	import { boxBetween, boxOf, type View } from '../../charts/knot/layout';

	/** A knot at a place between its stages; the frame goes along from one stage's to the next's. */
	interface Props {
		knot: DrawnKnot;
		wraps: number;
		place: number;
		view: View;
	}
	let { knot, wraps, place, view }: Props = $props();
	const moment = $derived(momentOf(knot, wraps, place));
	const boxes = $derived(knot.stages.map((stage) => boxOf(stage.strands(wraps), view)));
	const at = $derived(Math.min(Math.floor(place), knot.stages.length - 1));
	const box = $derived(boxBetween(boxes[at]!, boxes[at + 1] ?? boxes[at]!, place - at));
	const stage = $derived(knot.stages[Math.ceil(place - 1e-6)]!);
</script>

<KnotDiagram
	strands={moment.strands}
	fading={moment.fading}
	{box}
	{view}
	label="{knot.name}, stage {knot.stages.indexOf(stage) + 1} of {knot.stages
		.length}: {stage.title}. {stage.looks}"
/>
