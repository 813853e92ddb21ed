<script lang="ts">
	import type { StockEntry } from '$lib/stock/stock';
	import { EVENT_NAMES, showAmount } from '$lib/stock/words';
	import { showDay } from '$lib/wording/dates';
	import { usePreferences } from '../../state/preferences.svelte';
	import { confirmEvent, undoEvent } from './changes';

	/** What happened to something on the shelf, the newest first; a reading that doesn't fit is asked about. */
	let { entry }: { entry: StockEntry } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);

	type Event = StockEntry['events'][number];
	const amountOf = ({ kind, amount, value }: Event): string =>
		amount && kind !== 'took' && kind !== 'came' && kind !== 'counted'
			? amount
			: showAmount(entry.what, value, units);
	const wordsOf = (event: Event): string =>
		event.spool === undefined
			? EVENT_NAMES[event.kind].label
			: `${event.kind === 'took' ? 'Taken' : 'Cut'} for ${event.spool || 'an unnamed spool'}`;
</script>

{#if entry.events.length > 0}
	<ol class="mt-4 text-[16px]" data-events>
		{#each entry.events as event (event.id)}
			<li class="border-b border-hair py-2">
				<div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
					<span class="figure w-28 text-[15px] text-soft">{showDay(event.day, preferences.locale)}</span>
					<span>{wordsOf(event)}</span>
					<span class="figure font-semibold">{amountOf(event)}</span>
					<button
						type="button"
						class="ml-auto min-h-8 text-[15px] underline underline-offset-4"
						onclick={() => void undoEvent(entry.id, event.id, EVENT_NAMES[event.kind].undone)}
						>{EVENT_NAMES[event.kind].undo}</button
					>
				</div>
				{#if event.surprise}
					<div class="mt-1 border-l-[3px] border-warn pl-3" data-surprise>
						<p class="text-[15px]">
							This doesn't fit what Wendle knows of the spool, so it isn't counted. Read it again. If it is
							right, something was cut off that nobody wrote down.
						</p>
						<button
							type="button"
							class="mt-1 action-quiet min-h-9"
							onclick={() => void confirmEvent(entry.id, event.id)}>It is right: count it</button
						>
					</div>
				{/if}
			</li>
		{/each}
	</ol>
{/if}
