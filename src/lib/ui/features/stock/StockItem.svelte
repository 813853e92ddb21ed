<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { KIND_NAMES, type StockPage } from '$lib/stock/stock';
	import { plannedCuts } from '$lib/stock/planned';
	import { showLeft, stockName } from '$lib/stock/words';
	import { whatName } from '$lib/stock/what';
	import { showLong, showLongRange } from '$lib/wording/units';
	import BulkSection from '../../charts/bulk/BulkSection.svelte';
	import SaveDrawing from '../../charts/export/SaveDrawing.svelte';
	import EndBar from '../../charts/bulk/EndBar.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import ChangeStock from './ChangeStock.svelte';
	import { takeOutOfStock } from './changes';
	import { drawnColour } from './colour';
	import StockEventForm from './StockEventForm.svelte';
	import StockEvents from './StockEvents.svelte';

	/** Something on the shelf: how much is left, what happened to it, and what is to be cut off it. */
	interface Props {
		stock: StockPage;
		id: string;
	}
	let { stock, id }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const entry = $derived(stock.entries.find((one) => one.id === id)!);
	let changing = $state(false);
	let drawing = $state<SVGSVGElement>();
	/** As high as this, px. */
	const TALL_PX = 260;
	const plan = $derived(new Map(Object.entries(stock.plan)));
	const cuts = $derived(plannedCuts(stock.needs, plan, units).get(id) ?? []);
	const link = 'grid min-h-8 place-items-center underline underline-offset-4';

	async function takeOut(): Promise<void> {
		if (await takeOutOfStock(entry)) await goto(resolve('/stock'));
	}
</script>

<div class="mx-auto max-w-[1000px] px-4 pb-12 sm:px-8">
	<h1 class="pt-5 text-[26px] leading-tight font-bold tracking-tight">{stockName(entry)}</h1>
	<p class="text-[16px] text-soft">
		{[KIND_NAMES[entry.form.kind], whatName(entry.what), entry.form.where].filter(Boolean).join(' · ')}
	</p>
	<div class="mt-4 flex flex-wrap items-start gap-x-10 gap-y-4">
		{#if entry.spool}
			<div>
				<BulkSection
					{entry}
					bind:svg={drawing}
					{cuts}
					scale={TALL_PX / entry.spool.rimDiameterMm}
					colour={drawnColour(entry.form)}
					label="{stockName(entry)}, cut open to scale"
				/>
				<SaveDrawing {drawing} name={stockName(entry)} what="the drawing" />
			</div>
		{:else if entry.leftMm}
			<div class="w-full max-w-md pt-2">
				<EndBar
					{entry}
					{cuts}
					longestMm={Math.max(entry.leftMm.range.high, 1)}
					colour={drawnColour(entry.form)}
					label="{stockName(entry)}, to scale"
				/>
			</div>
		{/if}
		<div class="min-w-0">
			<p class="figure text-[15px] text-soft">left on it</p>
			<p class="figure text-[34px] leading-tight font-bold" data-left>
				<span class="px-1 marked"
					>{entry.leftMm ? `about ${showLong(entry.leftMm.value, units)}` : showLeft(entry, units)}</span
				>
			</p>
			{#if entry.leftMm}
				{@const { low, high } = entry.leftMm.range}
				<p class="figure text-[15px] text-soft">{showLongRange(low, high, units)}, 9 times out of 10</p>
			{/if}
			{#if cuts.length > 0}
				<p class="mt-3 text-[15px]">To be cut off it, as you planned:</p>
				<ul class="text-[15px]">
					{#each cuts as cut (cut.id)}<li>{cut.label}</li>{/each}
				</ul>
			{/if}
			{#if entry.form.note}<p class="mt-3 max-w-[48ch] whitespace-pre-line">{entry.form.note}</p>{/if}
		</div>
	</div>
	<section class="mt-6" aria-labelledby="happened">
		<h2 id="happened" class="mb-2 border-b-[2px] border-ink pb-1 text-[19px] font-semibold">
			What happened to it
		</h2>
		<StockEventForm {entry} />
		<StockEvents {entry} />
	</section>
	<p class="figure mt-5 flex flex-wrap gap-x-5 gap-y-1 text-[15px]">
		<a class={link} href="/stock">All stock</a>
		<a class={link} href="/stock/{id}/label">Print its label</a>
		<button type="button" class={link} aria-expanded={changing} onclick={() => (changing = !changing)}
			>Change what you said of it</button
		>
		<button type="button" class={link} onclick={() => void takeOut()}>Take it out of the stock</button>
	</p>
	{#if changing}<ChangeStock {entry} onclose={() => (changing = false)} />{/if}
</div>
