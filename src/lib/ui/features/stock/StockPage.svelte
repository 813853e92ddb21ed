<script lang="ts">
	import { cutQuestion, kindTotals, shoppingList } from '$lib/stock/needs';
	import { plannedCuts } from '$lib/stock/planned';
	import type { StockPage } from '$lib/stock/stock';
	import { whatName } from '$lib/stock/what';
	import Plus from '@lucide/svelte/icons/plus';
	import { Aside } from '../../state/aside.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import CutPlanTable from './CutPlanTable.svelte';
	import MayNeedList from './MayNeedList.svelte';
	import Shelf from './Shelf.svelte';
	import ShoppingList from './ShoppingList.svelte';

	/** The whole shelf: what is left, what the orders need of it, which piece is cut from which, and what to buy. */
	let { stock }: { stock: StockPage } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);

	const question = $derived(cutQuestion(stock.entries, stock.needs, stock.plan));
	let stopped = $state(false);
	const planned = new Aside((onProgress) => {
		const asked = question;
		return stopped || asked.wanted.length === 0
			? undefined
			: async () => (await import('$lib/workers/client')).planCutsAside(asked, onProgress);
	});
	/** Until there is a plan, the one that was kept. */
	const cuts = $derived(planned.value?.cuts ?? question.before);
	const totals = $derived(kindTotals(stock.entries, stock.needs));
	const list = $derived(shoppingList(stock.entries, stock.needs, stock.mayNeed, cuts));

	const cutsOf = $derived(plannedCuts(stock.needs, cuts, units));
	/** More kinds than this are only counted. */
	const MOST_NAMED = 2;
	const lows = $derived(totals.filter(({ low }) => low));
</script>

<div class="mx-auto max-w-[1440px] px-4 pb-12 sm:px-8">
	<div class="flex flex-wrap items-end gap-x-6 gap-y-2 pt-5 pb-2">
		<h1 class="text-[26px] leading-tight font-bold tracking-tight">Stock</h1>
		{#if lows.length > 0}
			<p class="figure text-[15px]" data-low>
				<span class="px-0.5 marked">Little is left</span> of {lows.length > MOST_NAMED
					? `${lows.length} kinds`
					: lows.map(({ what }) => whatName(what)).join(' and ')}.
			</p>
		{/if}
		<a href="/stock/new" class="ml-auto action"><Plus size={18} />Add to the stock</a>
	</div>
	{#if stock.entries.length === 0}
		<p class="mt-3 max-w-[60ch]">
			The stock is what you cut backing from, and the lines in their boxes. Add a bulk spool with the length
			on its label. Wendle takes off what you wind, tells you what is left, and plans which piece to cut from
			which spool.
		</p>
	{:else}
		<Shelf entries={stock.entries} {totals} {cutsOf} />
	{/if}
	{#if stock.needs.some(({ lengthMm }) => lengthMm !== null)}
		<CutPlanTable
			{stock}
			{cuts}
			plan={planned.value}
			running={planned.running}
			progress={planned.progress}
			{stopped}
			onstop={() => (stopped = true)}
			onstart={() => (stopped = false)}
		/>
	{/if}
	{#if stock.entries.length > 0 || list.length > 0}<ShoppingList {list} />{/if}
	{#if stock.mayNeed.length > 0}<MayNeedList mayNeed={stock.mayNeed} />{/if}
</div>
