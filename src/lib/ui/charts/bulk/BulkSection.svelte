<script lang="ts">
	import { straightSpool } from '$lib/core';
	import type { PlannedCut } from '$lib/stock/planned';
	import type { StockEntry } from '$lib/stock/stock';
	import type { Frame } from '../section/dots';
	import { layerPath, metalPath, WALL_MM } from '../section/metal';
	import { bulkRings } from './bulk';

	/** A bulk spool cut open along its axle, true to scale: what is on it, what is to be cut off it, and how sure that is. */
	interface Props {
		entry: StockEntry;
		cuts?: readonly PlannedCut[];
		/** Pixels per millimetre; one for the whole shelf. */
		scale: number;
		colour: string;
		label: string;
		/** The drawing itself, for whoever saves it. */
		svg?: SVGSVGElement | undefined;
	}
	let { entry, cuts = [], scale, colour, label, svg = $bindable() }: Props = $props();
	const id = $props.id();

	const measures = $derived(entry.spool!);
	const built = $derived(straightSpool(measures));
	const rings = $derived(bulkRings(entry, measures, cuts));
	const width = $derived((measures.widthMm + 2 * WALL_MM) * scale + 2);
	const height = $derived(measures.rimDiameterMm * scale + 2);
	const centre = $derived(height / 2);
	const frames = $derived<Frame[]>([
		{ scale, middlePx: width / 2, y: (r) => centre - r * scale },
		{ scale, middlePx: width / 2, y: (r) => centre + r * scale }
	]);
</script>

{#if built.ok}
	{@const spool = built.value}
	<svg
		bind:this={svg}
		viewBox="0 0 {width} {height}"
		{width}
		{height}
		class="block max-w-full overflow-visible"
		role="img"
		aria-label={label}
		data-bulk
	>
		<pattern id="{id}-metal" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
			<path d="M0 0V5" stroke="var(--soft)" stroke-width="0.9" />
		</pattern>
		<pattern id="{id}-cut" width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
			<path d="M0 0V4" stroke="var(--ink)" stroke-width="1" />
		</pattern>
		<!-- The flanges are whole discs, with the core between them. -->
		{#each [0, width - WALL_MM * scale - 2] as x (x)}
			<rect
				x={x + 1}
				y={centre - measures.arborDiameterMm * scale * 0.5}
				width={WALL_MM * scale}
				height={measures.arborDiameterMm * scale}
				fill="url(#{id}-metal)"
				stroke="var(--ink)"
				stroke-width="1.1"
			/>
		{/each}
		{#each frames as frame, side (side)}
			<path d={metalPath(spool, frame)} fill="url(#{id}-metal)" stroke="var(--ink)" stroke-width="1.1" />
			<path
				d={layerPath(spool, rings.rest.innerMm, rings.rest.outerMm, frame)}
				fill={colour}
				fill-opacity="0.75"
				stroke="var(--ink)"
				stroke-width="0.6"
			/>
			{#each rings.cuts as { cut, innerMm, outerMm }, i (cut.id)}
				<g data-cut={side === 0 ? cut.id : undefined}>
					<title>{cut.label}</title>
					<path
						d={layerPath(spool, innerMm, outerMm, frame)}
						fill={colour}
						fill-opacity={i % 2 === 0 ? 0.25 : 0.45}
					/>
					<path
						d={layerPath(spool, innerMm, outerMm, frame)}
						fill="url(#{id}-cut)"
						stroke="var(--ink)"
						stroke-width="0.6"
					/>
				</g>
			{/each}
			<path
				d={layerPath(spool, rings.soft.innerMm, rings.soft.outerMm, frame)}
				fill={colour}
				fill-opacity="0.3"
			/>
		{/each}
		<path d="M-4 {centre}H{width + 4}" stroke="var(--soft)" stroke-width="0.9" stroke-dasharray="9 2 2 2" />
	</svg>
{/if}
