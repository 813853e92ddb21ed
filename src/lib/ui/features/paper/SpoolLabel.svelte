<script lang="ts">
	import type { ThreadStrand } from '../../charts/thread/strands';
	import type { LabelLayout } from './label-layout';
	import PaperCard from './PaperCard.svelte';
	import ThreadRow from './ThreadRow.svelte';

	/** A spool's label, true to size. */
	let {
		layout,
		strands,
		leader
	}: { layout: LabelLayout; strands: readonly ThreadStrand[]; leader: boolean } = $props();
	const { thread } = $derived(layout);
</script>

<PaperCard {layout} name="Label" leads="what Wendle knows of it">
	<div
		class="thread absolute"
		style="left:{thread.x}mm;top:{thread.y}mm;width:{thread.width}mm;height:{thread.height}mm"
	>
		<ThreadRow {strands} {leader} />
	</div>
</PaperCard>

<style>
	.thread :global(svg.block),
	.thread > :global(span),
	.thread > :global(span > span) {
		height: 100%;
	}
</style>
