<script lang="ts">
	import { MOVE_COSTS_M, toMm, type CutPlan, type Cuts } from '$lib/core';
	import type { StockNeed, StockPage } from '$lib/stock/stock';
	import { stockName } from '$lib/stock/words';
	import { whatShort } from '$lib/stock/what';
	import { showDay } from '$lib/wording/dates';
	import { showLong, showToCut } from '$lib/wording/units';
	import { usePreferences } from '../../state/preferences.svelte';
	import { keepPlan } from './changes';

	/** Which piece is cut from which length, for every open order; and what has to be bought for it. */
	interface Props {
		stock: StockPage;
		cuts: Cuts;
		/** Undefined until it is worked out. */
		plan: CutPlan | undefined;
		running: boolean;
		/** The share that is worked out. */
		progress: number;
		stopped: boolean;
		onstop: () => void;
		onstart: () => void;
	}
	let { stock, cuts, plan, running, progress, stopped, onstop, onstart }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const sources = $derived(new Map(stock.entries.map((entry) => [entry.id, entry])));
	const pieces = $derived(stock.needs.filter(({ lengthMm }) => lengthMm !== null));
	const proposed = $derived(Object.fromEntries(cuts));
	/** The plan differs from the one that was kept. */
	const differs = $derived(pieces.some(({ id }) => proposed[id] !== stock.plan[id]));
	const nameOf = (id: string | undefined): string => {
		const entry = id === undefined ? undefined : sources.get(id);
		return entry ? stockName(entry) : 'a spool that is gone';
	};
	/** A piece that is now cut from somewhere else than the plan before said. */
	const before = ({ id }: StockNeed): string | undefined =>
		stock.plan[id] !== undefined && stock.plan[id] !== cuts.get(id) ? nameOf(stock.plan[id]) : undefined;
</script>

<section class="pt-8" aria-labelledby="cut-plan" data-cut-plan>
	<div class="flex flex-wrap items-end gap-x-5 gap-y-2 border-b-[2px] border-ink pb-1.5">
		<h2 id="cut-plan" class="text-[19px] font-semibold">What to cut from what</h2>
		{#if running}
			<p class="figure text-[15px]" role="status">
				Planning, {Math.round(100 * progress)} % done
				<button type="button" class="ml-2 min-h-9 underline" onclick={onstop}>Stop planning</button>
			</p>
		{:else if stopped}
			<p class="figure text-[15px]">
				Planning was stopped.
				<button type="button" class="ml-2 min-h-9 underline" onclick={onstart}>Plan the cuts</button>
			</p>
		{:else if plan}
			<p class="figure text-[15px]" data-plan-says>
				{plan.missing.length === 0
					? 'Every reel gets its backing in one piece'
					: `${plan.missing.length} of ${pieces.length} pieces have to be bought`}; {showLong(
					plan.uselessMm,
					units
				)} is left in ends too short to use{plan.withinM > 0 ? '. A slightly better plan may exist' : ''}.
			</p>
			{#if differs}
				<button
					type="button"
					class="ml-auto action-quiet min-h-10"
					onclick={() => void keepPlan(proposed, stock.plan)}>Keep this plan</button
				>
			{:else}
				<p class="figure ml-auto text-[15px] text-soft">You keep this plan.</p>
			{/if}
		{/if}
	</div>
	<table class="figure w-full border-collapse text-left text-[15px]">
		<caption class="sr-only">Each piece of backing, and the length that it is cut from</caption>
		<thead>
			<tr class="text-[13px] text-soft">
				<th class="py-1 pr-4 font-normal">For</th>
				<th class="pr-4 font-normal max-sm:hidden">due</th>
				<th class="pr-4 font-normal">cut</th>
				<th class="font-normal">from</th>
			</tr>
		</thead>
		<tbody>
			{#each pieces as need (need.id)}
				{@const source = cuts.get(need.id)}
				<tr class="border-t border-hair align-baseline" data-piece={need.number}>
					<th scope="row" class="py-1.5 pr-4 font-normal">
						<a class="font-semibold underline underline-offset-4" href="/orders/{need.orderId}"
							>{need.number}</a
						>
						{need.reel || 'unnamed spool'}
					</th>
					<td class="pr-4 whitespace-nowrap max-sm:hidden"
						>{need.due ? showDay(need.due, preferences.locale) : ''}</td
					>
					<td class="pr-4 whitespace-nowrap">{showToCut(need.lengthMm!, units)} {whatShort(need.what)}</td>
					<td>
						{#if source !== undefined}
							<a class="underline underline-offset-4" href="/stock/{source}">{nameOf(source)}</a>
							{#if before(need)}<span class="text-soft">(before: {before(need)})</span>{/if}
						{:else if plan}
							<span class="text-warn">nothing is long enough: buy it</span>
						{/if}
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
	<p class="mt-2 max-w-[72ch] text-[14px] text-soft">
		Wendle plans with the low end of what is left, and moves a piece that you kept only if that saves at least
		{showLong(toMm(MOVE_COSTS_M, 'm'), units)} of backing.
	</p>
</section>
