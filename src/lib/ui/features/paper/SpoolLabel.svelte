<script lang="ts">
	import type { ThreadStrand } from '../../charts/thread/strands';
	import type { LabelLayout } from './label-layout';
	import ThreadRow from './ThreadRow.svelte';

	/** A spool's label, true to size: on the screen as far as a screen knows millimetres, on paper exactly. */
	let {
		layout,
		strands,
		leader
	}: { layout: LabelLayout; strands: readonly ThreadStrand[]; leader: boolean } = $props();
	const { widthMm, heightMm, texts, qr, thread } = $derived(layout);
	const dots = $derived(
		qr.squares
			.map(
				([x, y]) =>
					`M${x.toFixed(3)} ${y.toFixed(3)}h${qr.side.toFixed(3)}v${qr.side.toFixed(3)}h-${qr.side.toFixed(3)}z`
			)
			.join('')
	);
</script>

<div
	class="label relative overflow-hidden border border-hair bg-white scheme-light"
	style="width:{widthMm}mm;height:{heightMm}mm"
	data-label
>
	<svg
		viewBox="0 0 {widthMm} {heightMm}"
		class="absolute inset-0 size-full"
		role="img"
		aria-label="Label: {texts.map(({ text }) => text).join(', ')}; with a QR code to what Wendle knows of it"
	>
		{#each texts as { x, y, size, bold, text }, i (i)}
			<text {x} {y} font-size={size} font-weight={bold ? 700 : 400} fill="#000" class="figure">{text}</text>
		{/each}
		<path d={dots} fill="#000" shape-rendering="crispEdges" data-qr />
	</svg>
	<div
		class="absolute"
		style="left:{thread.x}mm;top:{thread.y}mm;width:{thread.width}mm;height:{thread.height}mm"
	>
		<ThreadRow {strands} {leader} />
	</div>
</div>

<style>
	@media print {
		.label {
			border: 0;
		}
	}
	.label :global(svg.block) {
		height: 100%;
	}
	.label > div,
	.label > div > :global(span),
	.label > div > :global(span > span) {
		height: 100%;
	}
</style>
