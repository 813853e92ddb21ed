<script lang="ts">
	import { LEAVINGS, ONTO, SOURCES, type Transfer } from '$lib/core';
	import Segmented from '../../primitives/Segmented.svelte';
	import PictureChoice from './PictureChoice.svelte';
	import { LEAVING_PICTURES, ONTO_PICTURES, SOURCE_PICTURES } from './pictures';

	/** One leg of a way: from what, how it leaves, on to what. */
	interface Props {
		transfer: Transfer;
		/** Which of several it is. */
		label: string | undefined;
		onchange: (transfer: Transfer) => void;
		onremove: (() => void) | undefined;
	}
	let { transfer, label, onchange, onremove }: Props = $props();
	const pictured = <K extends string>(labels: Record<K, string>, pictures: Record<K, string>) =>
		(Object.entries(labels) as [K, string][]).map(([value, label]) => ({
			value,
			label,
			picture: pictures[value]
		}));
	const sourceLabels = Object.fromEntries(
		Object.entries(SOURCES).map(([key, { label }]) => [key, label])
	) as Record<Transfer['source'], string>;

	/** Without coils, or with a spool that turns, it makes no difference which way they lie. */
	const sided = $derived(
		transfer.source !== 'laid-out' && (transfer.leaving === 'over-side' || transfer.leaving === 'bowl')
	);
	const change = (part: Partial<Transfer>): void => onchange({ ...transfer, ...part });
	/** Another source has coils of another size: its usual ones. */
	function changeSource(source: Transfer['source']): void {
		const { diameterMm: _, ...rest } = transfer;
		onchange({ ...rest, source });
	}
</script>

<div class="space-y-4 {label ? 'border-t border-hair pt-2' : ''}" data-leg>
	{#if label}
		<p class="flex items-center justify-between text-[16px] font-semibold">
			{label}
			{#if onremove}<button type="button" class="min-h-9 font-normal underline" onclick={onremove}
					>Leave this out</button
				>{/if}
		</p>
	{/if}
	<PictureChoice
		label="It comes from"
		options={pictured(sourceLabels, SOURCE_PICTURES)}
		value={transfer.source}
		onchange={changeSource}
	/>
	{#if transfer.source !== 'laid-out'}
		<PictureChoice
			label="It comes off"
			options={pictured(LEAVINGS, LEAVING_PICTURES)}
			value={transfer.leaving}
			onchange={(leaving) => change({ leaving })}
		/>
	{/if}
	{#if sided}
		<Segmented
			label="Seen from that side it runs round"
			options={[
				{ value: 'clockwise', label: 'clockwise' },
				{ value: 'anticlockwise', label: 'anticlockwise' }
			]}
			value={transfer.seen}
			onchange={(seen) => change({ seen })}
			shown
		/>
	{/if}
	<PictureChoice
		label="It goes"
		options={pictured(ONTO, ONTO_PICTURES)}
		value={transfer.onto}
		onchange={(onto) => change({ onto })}
	/>
</div>
