<script lang="ts">
	import type { Board, BoardOrder } from '$lib/orders/board';
	import { isOpen, secondsLeft } from '$lib/orders/board';
	import { ORDER_STATES, STATE_NAMES, type OrderState } from '$lib/orders/order';
	import { showDuration } from '$lib/wording/phrase';
	import GripVertical from '@lucide/svelte/icons/grip-vertical';
	import Plus from '@lucide/svelte/icons/plus';
	import { onMount } from 'svelte';
	import { fromAction } from 'svelte/attachments';
	import { usePreferences } from '../../state/preferences.svelte';
	import { followBoard, moveOrder, takeNext } from './changes';
	import OrderLine from './OrderLine.svelte';

	/** All orders by their state, in the order of the work. */
	let { board }: { board: Board } = $props();
	const preferences = usePreferences();
	onMount(followBoard);

	/** How many that were handed over are shown before they are asked for. */
	const FEW_HANDED_OVER = 5;
	let allHandedOver = $state(false);

	/** Dragging comes with the first sign of a pointer; keys and touch have the list of states on each line. */
	let dnd = $state.raw<typeof import('svelte-dnd-action')>();
	const loadDragging = async (): Promise<void> => void (dnd ??= await import('svelte-dnd-action'));
	/** While dragging, each state with the orders it would have. */
	let dragged = $state.raw<Partial<Record<OrderState, readonly BoardOrder[]>>>({});
	/** Something is held: every state then has room to drop it in. */
	const dragging = $derived(Object.keys(dragged).length > 0);
	const inState = (state: OrderState): readonly BoardOrder[] =>
		dragged[state] ?? board.orders.filter((order) => order.state === state);
	const shownIn = (state: OrderState): readonly BoardOrder[] =>
		state === 'handed-over' && !allHandedOver
			? inState(state)
					.toSorted((a, b) => b.number - a.number)
					.slice(0, FEW_HANDED_OVER)
			: inState(state);

	interface Dropped {
		readonly detail: { readonly items: readonly BoardOrder[]; readonly info: { readonly id: string } };
	}
	const consider = (state: OrderState, event: unknown): void =>
		void (dragged = { ...dragged, [state]: (event as Dropped).detail.items });
	/** Where an order was dropped takes it over; the place within a state is the work's own. */
	async function finalize(state: OrderState, event: unknown): Promise<void> {
		const { items, info } = (event as Dropped).detail;
		consider(state, event);
		const order = board.orders.find(({ id }) => id === info.id);
		if (order && order.state !== state && items.some(({ id }) => id === info.id))
			await moveOrder(order, state);
		dragged = {};
	}
	const zoneOf = (state: OrderState) =>
		dnd &&
		fromAction(dnd.dragHandleZone, () => ({
			items: [...shownIn(state)] as { id: string }[],
			type: 'orders',
			flipDurationMs: 120,
			dropTargetStyle: {},
			dropTargetClasses: ['drop-target'],
			autoAriaDisabled: true,
			zoneTabIndex: -1,
			zoneItemTabIndex: -1,
			delayTouchStart: true
		}));
	const handleOf = () => dnd && fromAction(dnd.dragHandle);

	const open = $derived(board.orders.filter(isOpen));
	const dueNow = $derived(open.filter(({ due }) => due !== null && due.compare(preferences.today) <= 0));
	const next = $derived(board.next);
</script>

<svelte:window onpointermove={loadDragging} onpointerdown={loadDragging} />

<div class="mx-auto max-w-[1440px] px-4 pb-12 sm:px-8">
	<div class="flex flex-wrap items-end gap-x-6 gap-y-2 pt-5 pb-2">
		<h1 class="text-[26px] leading-tight font-bold tracking-tight">
			{open.length === 1 ? '1 open order' : `${open.length} open orders`}
		</h1>
		{#if open.length > 0}
			<p class="figure text-[15px]" data-work-left>
				About {showDuration(secondsLeft(open))} of work is left{#if dueNow.length > 0}, <span
						class="px-0.5 marked">{showDuration(secondsLeft(dueNow))} of it for today</span
					>{/if}.
			</p>
		{/if}
		<div class="ml-auto flex flex-wrap gap-3">
			{#if next}
				<a
					class="action"
					href="/bench/{next.setupId}"
					data-next
					onclick={(event) => void takeNext(event, next)}
					>Wind the next: {next.number}, {next.name || 'unnamed spool'}</a
				>
			{/if}
			<a href="/orders/new" class={next ? 'action-quiet min-h-11' : 'action'}
				><Plus size={18} />Take in an order</a
			>
		</div>
	</div>
	{#if board.orders.length === 0}
		<p class="mt-3 max-w-[60ch]">
			An order is a reel, or several, that you wind for somebody else: a customer, a guest, a friend. Write
			down what is wanted in one line, and Wendle reads it into a set-up for the bench.
		</p>
	{:else}
		{#each ORDER_STATES as state (state)}
			{@const orders = shownIn(state)}
			<section aria-labelledby="state-{state}" class="pt-4" data-state={state}>
				<h2 id="state-{state}" class="figure border-b-[2px] border-ink pb-1 text-[16px] font-semibold">
					{STATE_NAMES[state]}
					<span class="font-normal text-soft">{inState(state).length}</span>
				</h2>
				<div
					class={dragging ? 'min-h-14' : 'min-h-3'}
					data-zone
					onconsider={(event: unknown) => consider(state, event)}
					onfinalize={(event: unknown) => void finalize(state, event)}
					{@attach zoneOf(state)}
				>
					{#each orders as order (order.id)}
						<div>
							<OrderLine {order} onmove={(to) => void moveOrder(order, to)}>
								{#snippet handle()}
									<span
										class="grid size-8 cursor-grab place-items-center text-soft"
										aria-hidden="true"
										data-handle
										{@attach handleOf()}><GripVertical size={18} /></span
									>
								{/snippet}
							</OrderLine>
						</div>
					{/each}
				</div>
				{#if state === 'handed-over' && inState(state).length > FEW_HANDED_OVER}
					<button
						type="button"
						class="figure min-h-9 text-[15px] underline"
						onclick={() => (allHandedOver = !allHandedOver)}
						>{allHandedOver ? 'Show the newest only' : `Show all ${inState(state).length}`}</button
					>
				{/if}
			</section>
		{/each}
	{/if}
</div>

<style>
	:global(.drop-target) {
		outline: 2px solid var(--now);
		outline-offset: 2px;
	}
</style>
