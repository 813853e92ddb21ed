<script lang="ts">
	import { showSmall, smallUnit, type UnitSystem } from '$lib/wording/units';
	import { ROLE_NAMES } from '$lib/core';
	import type { Workout } from '$lib/setup/evaluate-form';
	import Dimension from './Dimension.svelte';
	import GapHandle from './GapHandle.svelte';
	import { gapBounds, PENCIL_MM, ruleTicks, sectionLayout } from './layout';
	import Metal from './Metal.svelte';
	import { layerPath } from './metal';
	import { plannedLayers, ROLE_COLOURS, ROLE_TEXT } from './layers';
	import { risingLayers } from './rising';
	import Wraps from './Wraps.svelte';

	interface Props {
		workout: Workout;
		units: UnitSystem;
		/** Height not to be exceeded, px. */
		maxHeight: number;
		ongap: (gapMm: number) => void;
		svg?: SVGSVGElement | undefined;
	}
	let { workout, units, maxHeight, ongap, svg = $bindable() }: Props = $props();
	const id = $props.id();
	const rising = risingLayers();

	/** Px; the page that the server makes is drawn for a wide screen, and keeps the room that a phone's drawing takes. */
	let measured = $state<number>();
	const [WIDE, PHONE] = [640, 356];
	const width = $derived(measured ?? WIDE);
	const spool = $derived(workout.known.spool);
	const layout = $derived(sectionLayout(spool, width, maxHeight));
	const { y } = $derived(layout);
	const stop = $derived(workout.fit.layers[workout.stopIndex]);
	const top = $derived(workout.fit.layers.at(-1)!);
	const ranges = $derived(workout.estimate.ranges);
	const surface = $derived(top.outerRadiusMm);
	/** The handle stands at the gap asked for, also when the line alone stands higher. */
	const wantedMm = $derived(workout.problem.gapMm);
	const over = $derived(!workout.fit.fits);

	const wound = $derived(plannedLayers(workout));
	/** Names beside the layers, pushed apart where layers are thin, and clear of the gap's handle. */
	const names = $derived.by(() => {
		let above = y(spool.gapFromRadiusMm - wantedMm) + 13;
		return wound.toReversed().flatMap(({ key, role, layer }) => {
			if (layer.turns < 1) return [];
			const middle = (y(layer.innerRadiusMm) + y(layer.outerRadiusMm)) / 2 + 4;
			const at = Math.max(middle, above + 15);
			above = at;
			return [
				{ key, role, at, text: `${ROLE_NAMES[role].split(' ')[0]!}, ${Math.round(layer.turns)} turns` }
			];
		});
	});

	const depthX = $derived(layout.leftPx - (layout.narrow ? 34 : 42));
	const gapX = $derived(layout.rightPx + (layout.narrow ? 36 : 60));
	const ruleX = $derived(layout.leftPx - 84);
	const pencilR = $derived((PENCIL_MM / 2) * layout.scale);

	/** A surface known only within a range is a soft band from the low to the high estimate. */
	const bands = $derived(
		[
			{
				key: 'stop',
				low: spool.rimRadiusMm - ranges.stopDepthMm.high,
				high: spool.rimRadiusMm - ranges.stopDepthMm.low,
				colour: ROLE_COLOURS[stop?.role ?? 'backing']
			},
			{
				key: 'surface',
				low: spool.gapFromRadiusMm - ranges.gapMm.high,
				high: spool.gapFromRadiusMm - ranges.gapMm.low,
				colour: ROLE_COLOURS[top.role]
			}
		]
			.filter((band) => Number.isFinite(band.low) && band.high > spool.arborRadiusMm)
			.map((band) => ({ ...band, low: Math.max(band.low, spool.arborRadiusMm) }))
	);
</script>

<div
	bind:clientWidth={measured}
	class={measured === undefined ? 'max-sm:h-(--phone) max-sm:overflow-hidden' : ''}
	style={measured === undefined ? `--phone: ${sectionLayout(spool, PHONE, maxHeight).height}px` : undefined}
>
	<svg
		bind:this={svg}
		viewBox="0 0 {width} {layout.height}"
		{width}
		height={layout.height}
		class="drawing block max-w-full"
		role="group"
		aria-label="Section through the filled spool, to scale"
	>
		<Metal {spool} frame={layout} />
		{#each wound as { key, layer, colour, coated } (key)}
			<g {@attach rising(key, layer)}><Wraps {spool} {layer} {colour} {coated} frame={layout} /></g>
		{/each}

		{#each bands as band (band.key)}
			<linearGradient id="{id}-{band.key}" x1="0" x2="0" y1="0" y2="1">
				<stop offset="0" stop-color={band.colour} stop-opacity="0" />
				<stop offset="0.5" stop-color={band.colour} stop-opacity="0.55" />
				<stop offset="1" stop-color={band.colour} stop-opacity="0" />
			</linearGradient>
			<path d={layerPath(spool, band.low, band.high, layout)} fill="url(#{id}-{band.key})" />
		{/each}

		<!-- rim, and the frame where it was measured -->
		<path
			d="M{depthX - 14} {y(spool.rimRadiusMm)}H{layout.rightPx + 10}"
			stroke="var(--ink)"
			stroke-width="0.9"
			stroke-dasharray="11 3 2 3"
		/>
		{#if spool.hasFrame}
			<path
				d="M{layout.leftPx - 6} {y(spool.gapFromRadiusMm)}H{gapX + 16}"
				stroke="var(--ink)"
				stroke-width="2.2"
			/>
			<text class="quiet" x={layout.middlePx} y={y(spool.gapFromRadiusMm) - 6} text-anchor="middle"
				>frame</text
			>
		{:else}
			<path
				d="M{layout.rightPx + 10} {y(spool.rimRadiusMm)}H{gapX + 10}"
				stroke="var(--soft)"
				stroke-width="0.8"
			/>
		{/if}

		{#if !over}
			<g>
				<circle
					cx={layout.middlePx + (spool.profile.at(-1)!.widthMm / 2) * layout.scale - pencilR - 4}
					cy={y(surface) - pencilR}
					r={pencilR}
					fill="none"
					stroke="var(--soft)"
					stroke-dasharray="3 3"
				/>
				<text
					class="quiet"
					x={layout.middlePx + (spool.profile.at(-1)!.widthMm / 2) * layout.scale - pencilR - 4}
					y={y(surface) - pencilR + 4}
					text-anchor="middle">{pencilR > 24 ? 'pencil' : ''}</text
				>
			</g>
		{/if}

		<!-- diameter rule -->
		{#if !layout.narrow}
			<g>
				<text class="quiet" x={ruleX - 22} y={y(spool.rimRadiusMm) - 9}>Ø {smallUnit(units)}</text>
				{#each ruleTicks(spool, smallUnit(units)) as { radiusMm, label } (radiusMm)}
					<path d="M{ruleX} {y(radiusMm)}h{label ? 11 : 6}" stroke="var(--soft)" />
					{#if label}<text class="quiet" x={ruleX - 5} y={y(radiusMm) + 4} text-anchor="end">{label}</text
						>{/if}
				{/each}
			</g>
		{/if}

		{#if workout.fit.solved && stop && !over}
			<Dimension
				x={depthX}
				from={y(spool.rimRadiusMm)}
				to={y(stop.outerRadiusMm)}
				text={showSmall(stop.depthMm, units)}
				reach={{ to: layout.leftPx }}
				hot
			/>
		{/if}
		<Dimension
			x={gapX}
			from={y(spool.gapFromRadiusMm)}
			to={y(spool.gapFromRadiusMm - wantedMm)}
			text={showSmall(wantedMm, units)}
			reach={{ to: layout.rightPx }}
		/>
		<GapHandle
			x={gapX}
			y={y(spool.gapFromRadiusMm - wantedMm)}
			gapMm={wantedMm}
			text={showSmall(wantedMm, units)}
			bounds={gapBounds(spool)}
			scale={layout.scale}
			onchange={ongap}
		/>

		<!-- width -->
		<g>
			<path
				d="M{layout.middlePx - (spool.profile[0]!.widthMm / 2) * layout.scale} {y(spool.arborRadiusMm) +
					44}h{spool.profile[0]!.widthMm * layout.scale}"
				stroke="var(--ink)"
				stroke-width="1.2"
			/>
			<rect
				x={layout.middlePx - 34}
				y={y(spool.arborRadiusMm) + 33}
				width="68"
				height="22"
				fill="var(--paper)"
			/>
			<text x={layout.middlePx} y={y(spool.arborRadiusMm) + 49} text-anchor="middle">
				{showSmall(spool.profile[0]!.widthMm, units)}
			</text>
		</g>

		{#if !layout.narrow}
			{#each names as { key, role, text, at } (key)}
				<text x={layout.rightPx + 12} y={at} style="fill: {ROLE_TEXT[role]}">{text}</text>
			{/each}
		{/if}
	</svg>
</div>
