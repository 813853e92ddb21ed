<script lang="ts">
	import type { KindTotal } from '$lib/stock/needs';
	import type { PlannedCut } from '$lib/stock/planned';
	import type { StockEntry } from '$lib/stock/stock';
	import { showAmount, showLeft, stockName } from '$lib/stock/words';
	import { isBacking, whatName } from '$lib/stock/what';
	import BulkSection from '../../charts/bulk/BulkSection.svelte';
	import EndBar from '../../charts/bulk/EndBar.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import { drawnColour } from './colour';

	/** Everything on the shelf by what it is: bulk spools cut open to one scale, lengths without one as bars, boxes as numbers. */
	interface Props {
		entries: readonly StockEntry[];
		totals: readonly KindTotal[];
		cutsOf: ReadonlyMap<string, readonly PlannedCut[]>;
	}
	let { entries, totals, cutsOf }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);

	/** The largest bulk spool is this high, px. */
	const TALLEST_PX = 128;
	const largestMm = $derived(Math.max(1, ...entries.map(({ spool }) => spool?.rimDiameterMm ?? 0)));
	const scale = $derived(TALLEST_PX / largestMm);
	const barred = $derived(entries.filter(({ spool, leftMm }) => !spool && leftMm));
	const longestMm = $derived(Math.max(1, ...barred.map(({ leftMm }) => leftMm!.range.high)));
	const lines = $derived(
		totals.flatMap((total) => {
			const own = entries.filter(({ what, boxes }) => what === total.what && boxes !== null);
			return own.map((entry) => ({ total, entry }));
		})
	);
	const kinds = $derived(
		totals
			.map((total) => ({ total, own: entries.filter(({ what }) => what === total.what) }))
			.filter(({ total, own }) => isBacking(total.what) && own.length > 0)
	);
	const toCut = (entry: StockEntry): string => {
		const cuts = cutsOf.get(entry.id) ?? [];
		if (cuts.length === 0) return '';
		return cuts.length === 1 ? '1 cut planned' : `${cuts.length} cuts planned`;
	};
	const drawing = (entry: StockEntry): string =>
		`${stockName(entry)}: ${showLeft(entry, units)} left${toCut(entry) ? `, ${toCut(entry)}` : ''}`;
</script>

{#each kinds as { total, own } (total.what)}
	<section class="pt-5" aria-label={whatName(total.what)} data-what={total.what}>
		<div class="flex flex-wrap items-baseline gap-x-3 border-b-[2px] border-ink pb-1">
			<h2 class="figure text-[17px] font-semibold">{whatName(total.what)}</h2>
			<p class="figure text-[15px] text-soft">
				about {showAmount(total.what, total.left, units)} left{#if total.needed > 0}, {showAmount(
						total.what,
						total.needed,
						units
					)} needed{/if}
			</p>
			{#if total.low}<p class="figure text-[15px] font-semibold text-warn">little is left</p>{/if}
		</div>
		<ul class="flex flex-wrap items-end gap-x-8 gap-y-4 pt-3">
			{#each own as entry (entry.id)}
				<li class={entry.spool ? '' : 'w-56'} data-stock={stockName(entry)}>
					<a class="block no-underline" href="/stock/{entry.id}">
						{#if entry.spool}
							<BulkSection
								{entry}
								cuts={cutsOf.get(entry.id) ?? []}
								{scale}
								colour={drawnColour(entry.form)}
								label={drawing(entry)}
							/>
						{:else if entry.leftMm}
							<EndBar
								{entry}
								cuts={cutsOf.get(entry.id) ?? []}
								{longestMm}
								colour={drawnColour(entry.form)}
								label={drawing(entry)}
							/>
						{/if}
						<span class="figure mt-1.5 block text-[16px] font-semibold underline underline-offset-4"
							>{stockName(entry)}</span
						>
					</a>
					<p class="figure text-[15px]" data-left>{showLeft(entry, units)}</p>
					<p class="text-[14px] text-soft">
						{[entry.form.kind === 'end' ? 'short end' : '', entry.form.where, toCut(entry)]
							.filter(Boolean)
							.join(' · ')}
					</p>
					{#if entry.events.some(({ surprise }) => surprise)}
						<p class="text-[14px] text-warn">A reading doesn't fit. Open it to answer.</p>
					{/if}
				</li>
			{/each}
		</ul>
	</section>
{/each}
{#if lines.length > 0}
	<section class="pt-5" aria-labelledby="boxed-lines">
		<h2 id="boxed-lines" class="figure border-b-[2px] border-ink pb-1 text-[17px] font-semibold">
			Lines in boxes
		</h2>
		<ul class="grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
			{#each lines as { total, entry } (entry.id)}
				<li
					class="flex flex-wrap items-baseline gap-x-3 border-b border-hair py-1.5 text-[15px]"
					data-stock={stockName(entry)}
				>
					<a class="figure text-[16px] font-semibold underline underline-offset-4" href="/stock/{entry.id}"
						>{stockName(entry)}</a
					>
					<span class="figure" data-left>{showLeft(entry, units)}</span>
					{#if total.needed > 0}<span class="text-soft">{total.needed} needed</span>{/if}
					{#if total.low}<span class="figure font-semibold text-warn">little is left</span>{/if}
					<span class="ml-auto text-[14px] text-soft">{entry.form.where}</span>
				</li>
			{/each}
		</ul>
	</section>
{/if}
{#if entries.some(({ what }) => isBacking(what))}
	<p class="mt-3 text-[14px] text-soft">
		Ranges hold 9 times out of 10. Hatched: what the plan below cuts off. The paler edge is the uncertainty.
	</p>
{/if}
