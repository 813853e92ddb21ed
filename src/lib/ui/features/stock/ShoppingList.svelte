<script lang="ts">
	import type { ToBuy } from '$lib/stock/needs';
	import { shoppingText, showAmount, whyToBuy } from '$lib/stock/words';
	import { isBacking, whatName } from '$lib/stock/what';
	import { fromMm } from '$lib/core';
	import { longUnit } from '$lib/wording/units';
	import { notify } from '../../state/notices.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import { download } from '../../charts/export/download';

	/** What has to be bought, as a list that goes along to the shop. */
	let { list }: { list: readonly ToBuy[] } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);

	const saveText = (text: string, name: string, type: string): void =>
		download(name, new Blob([text], { type: `${type};charset=utf-8` }));
	async function copy(): Promise<void> {
		try {
			await navigator.clipboard.writeText(shoppingText(list, units));
			await notify('The shopping list is copied.');
		} catch {
			saveText(shoppingText(list, units), 'wendle-shopping.txt', 'text/plain');
		}
	}
	async function csv(): Promise<void> {
		const { default: papa } = await import('papaparse');
		const long = longUnit(units);
		const text = papa.unparse(
			{
				fields: ['what', `length_in_one_piece_${long}`, 'boxes', 'why', 'orders'],
				data: list.map(({ what, amount, why, numbers }) => [
					whatName(what),
					isBacking(what) ? Math.round(fromMm(amount, long)) : '',
					isBacking(what) ? '' : amount,
					why,
					numbers.join(' ')
				])
			},
			{ escapeFormulae: true }
		);
		saveText(text, 'wendle-shopping.csv', 'text/csv');
	}
</script>

<section class="pt-8" aria-labelledby="shopping">
	<h2 id="shopping" class="border-b-[2px] border-ink pb-1 text-[19px] font-semibold">What to buy</h2>
	{#if list.length === 0}
		<p class="py-2 text-[15px]">Nothing: the stock has what the orders need.</p>
	{:else}
		<ul class="text-[16px]" data-shopping>
			{#each list as line (`${line.what} ${line.why}`)}
				<li class="flex flex-wrap items-baseline gap-x-3 border-b border-hair py-1.5">
					<span class="figure text-[18px] font-semibold whitespace-nowrap"
						>{showAmount(line.what, line.amount, units)}</span
					>
					<span>{whatName(line.what)}{isBacking(line.what) ? ', in one piece' : ''}</span>
					<span class="text-[15px] text-soft">{whyToBuy(line)}</span>
				</li>
			{/each}
		</ul>
		<div class="mt-3 flex flex-wrap gap-3">
			<button type="button" class="action-quiet min-h-10" onclick={() => void copy()}>Copy the list</button>
			<button type="button" class="action-quiet min-h-10" onclick={() => void csv()}>Save it as CSV</button>
		</div>
	{/if}
</section>
