<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { CardLayout } from './card-layout';

	/** A piece of paper, true to size: on the screen as far as a screen knows millimetres, on paper exactly. */
	interface Props {
		layout: CardLayout;
		/** What it is: "Label". */
		name: string;
		/** Where its code leads, in words. */
		leads: string;
		/** What stands on it beside words and code. */
		children?: Snippet;
	}
	let { layout, name, leads, children }: Props = $props();
	const { widthMm, heightMm, texts, qr } = $derived(layout);
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
	class="relative overflow-hidden border border-hair bg-white scheme-light print:border-0"
	style="width:{widthMm}mm;height:{heightMm}mm"
	data-label
>
	<svg
		viewBox="0 0 {widthMm} {heightMm}"
		class="absolute inset-0 size-full"
		role="img"
		aria-label="{name}: {texts.map(({ text }) => text).join(', ')}; with a QR code to {leads}"
	>
		{#each texts as { x, y, size, bold, text }, i (i)}
			<text {x} {y} font-size={size} font-weight={bold ? 700 : 400} fill="#000" class="figure">{text}</text>
		{/each}
		<path d={dots} fill="#000" shape-rendering="crispEdges" data-qr />
	</svg>
	{@render children?.()}
</div>
