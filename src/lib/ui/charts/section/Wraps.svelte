<script lang="ts">
	import type { Spool } from '$lib/core';
	import { dotPaths, px, smallPaths, type Frame } from './dots';
	import { wrapRows, type WoundLayer } from './wraps';

	interface Props {
		spool: Spool;
		layer: WoundLayer;
		frame: Frame;
		/** CSS colour of the role. */
		colour: string;
		/** A fly line is a core with a coat: drawn so, it is told from braid without its colour. */
		coated?: boolean;
		/** Drawn small, as one of many. */
		small?: boolean;
	}
	let { spool, layer, frame, colour, coated = false, small = false }: Props = $props();

	const OPACITY = [0.7, 0.85, 1];
	const CORE = 0.42;
	const paths = $derived(small ? smallPaths(spool, layer, frame) : dotPaths(wrapRows(spool, layer), frame));
</script>

<g fill="none" stroke-linecap="round">
	{#each paths as { d, diameterPx, shade, dashes } (`${diameterPx}/${shade}/${dashes}`)}
		<path
			{d}
			stroke={colour}
			stroke-opacity={OPACITY[shade]}
			stroke-width={px(Math.max(diameterPx - Math.min(0.6, diameterPx * 0.12), 0.5))}
			stroke-dasharray={dashes}
		/>
		{#if coated && diameterPx > 5}
			<path
				{d}
				stroke="var(--paper)"
				stroke-opacity="0.5"
				stroke-width={diameterPx * CORE}
				stroke-dasharray={dashes}
			/>
		{/if}
	{/each}
</g>
