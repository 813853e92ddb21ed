<script lang="ts">
	import { formatNumber, LEAVINGS, SOURCES, type Leaving, type TwistSource } from '$lib/core';
	import type { TravelForm } from '$lib/inventory/winding';
	import Select from '../../primitives/Select.svelte';

	/** How a strand came off what it was on: what that did to it goes into its twist. */
	interface Props {
		/** What it is called in a sentence. */
		name: string;
		part: string;
		/** Undefined: nobody knows. */
		travel: TravelForm | undefined;
		onchange: (travel: TravelForm | undefined) => void;
	}
	let { name, part, travel, onchange }: Props = $props();
	const LEAVING_OPTIONS = [
		...(Object.entries(LEAVINGS) as [Leaving, string][]).map(([value, label]) => ({ value, label })),
		{ value: 'unknown' as const, label: "I don't know" }
	];
	const SOURCE_OPTIONS = (Object.entries(SOURCES) as [TwistSource, { label: string }][]).map(
		([value, { label }]) => ({ value, label })
	);
	const sided = $derived(travel?.leaving === 'over-side' || travel?.leaving === 'bowl');
	const coil = $derived(travel && SOURCES[travel.source].meanDiameterMm);
</script>

<div class="grid gap-x-6 gap-y-3 sm:grid-cols-2" data-travel={part}>
	<Select
		label="How the {name} came off"
		options={LEAVING_OPTIONS}
		value={travel?.leaving ?? 'unknown'}
		onchange={(leaving) =>
			onchange(
				leaving === 'unknown'
					? undefined
					: { source: 'line-spool', seen: 'clockwise', ...travel, part, leaving }
			)}
	/>
	{#if travel && travel.leaving !== 'turning'}
		<Select
			label="What it came off"
			options={SOURCE_OPTIONS}
			value={travel.source}
			onchange={(source) => onchange({ ...travel, source })}
		/>
	{/if}
	{#if travel && sided}
		<Select
			label="Which way it ran, seen from that side"
			options={[
				{ value: 'clockwise', label: 'clockwise' },
				{ value: 'anticlockwise', label: 'anticlockwise' }
			]}
			value={travel.seen}
			onchange={(seen) => onchange({ ...travel, seen })}
		/>
		{#if coil}
			<p class="figure self-end text-[14px] text-soft">
				{formatNumber(1000 / (Math.PI * coil), 1)} coils a metre: do a loop test.
			</p>
		{/if}
	{/if}
</div>
