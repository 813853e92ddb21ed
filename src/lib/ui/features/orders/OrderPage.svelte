<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import type { BoardOrder, BoardReel, NextReel } from '$lib/orders/board';
	import { ORDER_STATES, STATE_NAMES } from '$lib/orders/order';
	import type { NamedSpool } from '$lib/orders/wish';
	import { showDay, showWeekday } from '$lib/wording/dates';
	import { showDuration } from '$lib/wording/phrase';
	import { onMount } from 'svelte';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import ChangeOrder from './ChangeOrder.svelte';
	import { followBoard, moveOrder, orderName, takeNext, takeOrderAway } from './changes';

	/** An order: where it stands, its reels, and what is done with it next. */
	interface Props {
		order: BoardOrder;
		/** The reel that is wound next, of this order or another. */
		next: NextReel | null;
		spools: readonly NamedSpool[];
	}
	let { order, next, spools }: Props = $props();
	const preferences = usePreferences();
	onMount(followBoard);
	let changing = $state(false);

	const isWound = ({ windingId, begun }: BoardReel): boolean => windingId !== null && !begun;
	const wound = $derived(order.reels.filter(isWound));
	const allWound = $derived(wound.length === order.reels.length);
	const labels = $derived(wound.map(({ windingId }) => windingId).join(','));
	const STATES = ORDER_STATES.map((value) => ({ value, label: STATE_NAMES[value] }));
	const link = 'grid min-h-8 place-items-center underline underline-offset-4';

	function standing({ trouble, secondsLeft, begun }: BoardReel): string {
		if (trouble === 'unfinished') return "Its set-up isn't finished: describe the reel, or a measure of it.";
		if (trouble === 'too-much') return "What is wanted doesn't fit on this spool. Fit says what does.";
		const left = secondsLeft === null ? '' : `about ${showDuration(secondsLeft)} of work`;
		return begun ? `Begun: ${left} left.` : `Not begun: ${left}.`;
	}
	async function takeAway(): Promise<void> {
		if (await takeOrderAway(order)) await goto(resolve('/orders'));
	}
</script>

<div class="mx-auto max-w-[1000px] px-4 pb-12 sm:px-8">
	<div class="flex flex-wrap items-end gap-x-6 gap-y-2 pt-5 pb-2">
		<h1 class="text-[26px] leading-tight font-bold tracking-tight">
			{orderName({ number: order.number, who: order.form.who })}
		</h1>
		<div class="w-52">
			<Select
				label="Stands in"
				options={STATES}
				value={order.state}
				onchange={(to) => void moveOrder(order, to)}
			/>
		</div>
	</div>
	<p class="figure text-[15px]">
		{order.due
			? `Due ${showWeekday(order.due, preferences.locale)}, ${showDay(order.due, preferences.locale)}`
			: 'No day was agreed'}
		<span class="text-soft">· taken in {showDay(order.takenIn, preferences.locale)}</span>
	</p>
	{#if order.form.notes}<p class="mt-2 max-w-[64ch] whitespace-pre-line">{order.form.notes}</p>{/if}

	<ul class="mt-4 border-t-[3px] border-ink" data-reels>
		{#each order.reels as reel (reel.id)}
			<li class="border-b border-hair py-3">
				<div class="flex flex-wrap items-baseline gap-x-3">
					<h2 class="figure text-[19px] font-semibold">{reel.name || 'Unnamed spool'}</h2>
					<span class="text-[16px]">{reel.wish}</span>
				</div>
				<p class="text-[15px] {reel.trouble ? 'text-warn' : 'text-soft'}">
					{isWound(reel) ? 'Wound.' : standing(reel)}
				</p>
				<div class="mt-1.5 flex flex-wrap items-center gap-x-5 gap-y-1 text-[15px]">
					{#if isWound(reel)}
						<a class={link} href="/label/{reel.windingId}">Print its label</a>
					{:else if reel.trouble === null}
						<a class="action-quiet min-h-9" href="/bench/{reel.setupId}"
							>{reel.begun ? 'Carry on at the bench' : 'Take it to the bench'}</a
						>
					{/if}
					<a class={link} href="/fit/{reel.setupId}">Open its set-up</a>
					{#if reel.spoolId}<a class={link} href="/spool/{reel.spoolId}">On the rack</a>{/if}
				</div>
			</li>
		{/each}
	</ul>
	{#if order.form.prices.length > 0}
		<dl class="mt-3 max-w-md text-[16px]" data-prices>
			{#each order.form.prices as { what, amount }, i (i)}
				<div class="flex justify-between gap-4 border-b border-hair py-1">
					<dt>{what}</dt>
					<dd class="figure">{amount}</dd>
				</div>
			{/each}
		</dl>
	{/if}

	<div class="mt-5 flex flex-wrap gap-3">
		{#if allWound && order.state !== 'handed-over'}
			<button type="button" class="action" onclick={() => void moveOrder(order, 'handed-over')}
				>Hand over</button
			>
		{/if}
		{#if next}
			<a
				class={allWound && order.state !== 'handed-over' ? 'action-quiet min-h-11' : 'action'}
				href="/bench/{next.setupId}"
				data-next
				onclick={(event) => void takeNext(event, next, order.id)}>Next in the queue: order {next.number}</a
			>
		{/if}
		<a class="action-quiet min-h-11" href="/orders/{order.id}/ticket">Print the ticket</a>
		{#if wound.length > 0}
			<a class="action-quiet min-h-11" href="/orders/{order.id}/slip">Print the slip</a>
			{#if wound.length > 1}<a class="action-quiet min-h-11" href="/label?of={labels}">Print all labels</a
				>{/if}
		{/if}
	</div>
	<p class="figure mt-5 flex flex-wrap gap-x-5 gap-y-1 text-[15px]">
		<a class={link} href="/orders">All orders</a>
		<button type="button" class={link} aria-expanded={changing} onclick={() => (changing = !changing)}
			>Change this order</button
		>
		<button type="button" class={link} onclick={() => void takeAway()}>Take this order away</button>
	</p>
	{#if changing}
		<ChangeOrder {order} {spools} onclose={() => (changing = false)} />
	{/if}
</div>
