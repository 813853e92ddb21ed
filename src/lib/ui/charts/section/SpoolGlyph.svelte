<script lang="ts">
	import type { Spool } from '$lib/core';
	import type { Frame } from './dots';
	import type { DrawnLayer } from './layers';
	import { layerPath, metalPath, WALL_MM } from './metal';
	import Wraps from './Wraps.svelte';

	/** A whole spool cut along its axle, both sides, true to scale: small enough for a shelf. */
	interface Props {
		spool: Spool;
		layers: readonly DrawnLayer[];
		/** Pixels per millimetre; one for the whole shelf. */
		scale: number;
		/** Only planned so far: the fill is drawn faint. */
		faint?: boolean;
	}
	let { spool, layers, scale, faint = false }: Props = $props();
	const id = $props.id();

	/** Hub and web are the same on every drawing: they hold nothing and are not asked for. */
	const HUB_MM = { outer: 5.5, bore: 2.4 };

	const wide = $derived(Math.max(...spool.profile.map((p) => p.widthMm)) + 2 * WALL_MM);
	const width = $derived(wide * scale + 2);
	const height = $derived(2 * spool.rimRadiusMm * scale + 2);
	const centre = $derived(height / 2);
	const upper = $derived<Frame>({ scale, middlePx: width / 2, y: (r) => centre - r * scale });
	const frames = $derived<Frame[]>([upper, { ...upper, y: (r) => centre + r * scale }]);
	const left = $derived(width / 2 - (wide / 2) * scale);
	const floor = $derived(Math.max(spool.arborRadiusMm - WALL_MM, HUB_MM.outer));
</script>

<svg viewBox="0 0 {width} {height}" {width} {height} class="block overflow-visible" aria-hidden="true">
	<pattern id="{id}-h" width="4.5" height="4.5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
		<path d="M0 0V4.5" stroke="var(--soft)" stroke-width="0.9" />
	</pattern>
	{#each frames as frame, side (side)}
		{@const up = side === 0 ? -1 : 1}
		<g fill="url(#{id}-h)" stroke="var(--ink)" stroke-width="1.1">
			<path
				d="M{left} {centre + up * floor * scale}V{centre + up * HUB_MM.outer * scale}h{WALL_MM *
					scale}V{centre + up * floor * scale}z"
			/>
			<path
				d="M{left} {centre + up * HUB_MM.outer * scale}h{wide * scale}V{centre +
					up * HUB_MM.bore * scale}H{left}z"
			/>
			<path d={metalPath(spool, frame)} />
		</g>
	{/each}
	<g id="{id}-w" opacity={faint ? 0.3 : 1}>
		{#each layers as { key, layer, colour, coated } (key)}
			{#if layer.outerRadiusMm > layer.innerRadiusMm}
				<path
					d={layerPath(spool, layer.innerRadiusMm, layer.outerRadiusMm, upper)}
					fill={colour}
					fill-opacity={coated ? 0.35 : 0.6}
				/>
			{/if}
			<Wraps {spool} {layer} frame={upper} {colour} {coated} small />
		{/each}
	</g>
	<use href="#{id}-w" transform="matrix(1 0 0 -1 0 {2 * centre})" />
	<path d="M-7 {centre}H{width + 7}" stroke="var(--soft)" stroke-width="0.9" stroke-dasharray="9 2 2 2" />
</svg>
