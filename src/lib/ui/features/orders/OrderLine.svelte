<script lang="ts">
	import type { BoardOrder, BoardReel } from '$lib/orders/board';
	import { ORDER_STATES, STATE_NAMES, type OrderState } from '$lib/orders/order';
	import { showDay, showWeekday } from '$lib/wording/dates';
	import { showDuration } from '$lib/wording/phrase';
	import type { Snippet } from 'svelte';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';

	/** An order on one line of the board. */
	interface Props {
		order: BoardOrder;
		onmove: (to: OrderState) => void;
		/** What it is dragged by. */
		handle?: Snippet;
	}
	let { order, onmove, handle }: Props = $props();
	const preferences = usePreferences();
	const open = $derived(order.state !== 'done' && order.state !== 'handed-over');
	/** Days until it is due; fewer than none where that day is over. */
	const daysLeft = $derived(order.due?.compare(preferences.today));
	const late = $derived(open && daysLeft !== undefined && daysLeft < 0);
	const due = $derived.by(() => {
		if (!order.due || daysLeft === undefined) return 'no day agreed';
		const day = showDay(order.due, preferences.locale);
		if (!open) return `due ${day}`;
		if (daysLeft < 0) return `late: ${day}`;
		if (daysLeft === 0) return 'due today';
		return `due ${daysLeft < 7 ? showWeekday(order.due, preferences.locale) : day}`;
	});
	const STATES = ORDER_STATES.map((value) => ({ value, label: STATE_NAMES[value] }));
	function standing({ windingId, trouble, secondsLeft, begun }: BoardReel): string {
		if (trouble === 'unfinished') return 'describe its reel';
		if (trouble === 'too-much') return "doesn't fit";
		if (windingId !== null && !begun) return 'wound';
		return secondsLeft === null ? '' : `${showDuration(secondsLeft)} left`;
	}
	const wayOf = ({ windingId, trouble, begun, setupId }: BoardReel): string =>
		trouble !== null || (windingId !== null && !begun) ? `/fit/${setupId}` : `/bench/${setupId}`;
</script>

<div
	class="grid grid-cols-[2rem_minmax(0,1fr)_auto] items-center gap-x-3 gap-y-1 border-b border-hair bg-ground py-2 lg:grid-cols-[2rem_13rem_minmax(0,1fr)_9.5rem_11rem]"
	data-order={order.number}
>
	<div>{@render handle?.()}</div>
	<a
		class="figure min-w-0 truncate py-1 text-[17px] font-semibold underline-offset-4 hover:underline"
		href="/orders/{order.id}"
		><span class="text-soft">{order.number}</span>
		{order.form.who || 'no name'}</a
	>
	<ul class="min-w-0 max-lg:order-1 max-lg:col-span-3">
		{#each order.reels as reel (reel.id)}
			<li class="flex min-h-8 flex-wrap items-center gap-x-2 text-[15px]">
				<a class="flex min-h-7 items-center font-semibold underline underline-offset-4" href={wayOf(reel)}
					>{reel.name || 'Unnamed spool'}</a
				>
				<span class="min-w-0">{reel.wish}</span>
				<span class="figure text-[14px] {reel.trouble ? 'text-warn' : 'text-soft'}">{standing(reel)}</span>
			</li>
		{/each}
	</ul>
	<span class="figure text-[15px] {late ? 'font-semibold text-warn' : ''}" data-due>{due}</span>
	<div class="max-lg:order-2 max-lg:col-span-3 max-lg:max-w-52">
		<Select
			quiet
			label="Order {order.number} stands in"
			options={STATES}
			value={order.state}
			onchange={(to) => onmove(to)}
		/>
	</div>
</div>
