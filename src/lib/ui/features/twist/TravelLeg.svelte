<script lang="ts">
	import {
		coilsIn,
		formatNumber,
		LEAVINGS,
		ONTO,
		SOURCES,
		USUAL_HAND_COIL_MM,
		USUAL_JUMP_SHARE,
		type Transfer
	} from '$lib/core';
	import NumberField from '../../primitives/NumberField.svelte';
	import Segmented from '../../primitives/Segmented.svelte';
	import LengthInput from './LengthInput.svelte';
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
	/** Across the middle of its coils, where it has any that matter. */
	const diameterMm = $derived(transfer.diameterMm ?? SOURCES[transfer.source].meanDiameterMm);
	const WAYS = [
		{ value: 'clockwise', label: 'clockwise' },
		{ value: 'anticlockwise', label: 'anticlockwise' }
	] as const;
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
					>Remove this move</button
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
			label="Which way it runs, seen from that side"
			options={WAYS}
			value={transfer.seen}
			onchange={(seen) => change({ seen })}
			shown
		/>
	{/if}
	{#if diameterMm !== null && transfer.leaving !== 'turning'}
		<div class="grid grid-cols-2 items-end gap-4">
			<LengthInput
				label="Across the middle of its coils"
				valueMm={diameterMm}
				leastMm={5}
				mostMm={2000}
				small
				onchange={(mm) => change({ diameterMm: mm })}
			/>
			{#if transfer.leaving === 'bowl'}
				<NumberField
					label="Coils out of 100 that jump"
					value={Math.round(100 * (transfer.jumpShare ?? USUAL_JUMP_SHARE))}
					min={0}
					max={100}
					onchange={(coils) => change({ jumpShare: (coils ?? 0) / 100 })}
				/>
			{:else}
				<p class="figure pb-1.5 text-[15px] text-soft" data-coils>
					{formatNumber(coilsIn(transfer.lengthMm, diameterMm), 0)} coils
				</p>
			{/if}
		</div>
	{/if}
	<PictureChoice
		label="It goes"
		options={pictured(ONTO, ONTO_PICTURES)}
		value={transfer.onto}
		onchange={(onto) => change({ onto })}
	/>
	{#if transfer.onto === 'hand-coils'}
		<div class="grid grid-cols-2 items-end gap-4">
			<LengthInput
				label="Across the coils you make"
				valueMm={transfer.handDiameterMm ?? USUAL_HAND_COIL_MM}
				leastMm={20}
				mostMm={2000}
				small
				onchange={(mm) => change({ handDiameterMm: mm })}
			/>
			<Segmented
				label="Laid, seen from above"
				options={WAYS}
				value={transfer.laid ?? 'clockwise'}
				onchange={(laid) => change({ laid })}
				shown
			/>
		</div>
	{/if}
</div>
