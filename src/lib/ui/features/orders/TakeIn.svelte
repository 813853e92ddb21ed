<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import type { NamedSpool } from '$lib/orders/wish';
	import { savedOrder } from '../../state/answers';
	import { FormSend } from '../../state/form-send.svelte';
	import { made, tellChange } from '../../state/undo.svelte';
	import { refreshOrders } from './changes';
	import { OrderDraft } from './order-draft.svelte';
	import OrderFields from './OrderFields.svelte';

	/** Somebody stands at the counter: what is wanted, whose it is, when it is due. */
	let { spools }: { spools: readonly NamedSpool[] } = $props();
	const draft = new OrderDraft();
	const sending = new FormSend({ once: true });

	async function takeIn(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const reply = await sending.send('POST', '/api/orders', draft.created(), savedOrder);
		if (reply?.kind !== 'ok') return;
		const saved = reply.value;
		await tellChange({
			said: `Order ${saved.number} is taken in.`,
			...made(`/api/orders/${saved.id}`),
			stays: 'The order is still there',
			refresh: async () => {
				await refreshOrders();
				await goto(resolve('/orders'));
			}
		});
		await goto(resolve('/orders/[id]', { id: saved.id }));
	}
</script>

<form
	class="mx-auto max-w-[900px] px-4 pb-12 sm:px-8"
	aria-labelledby="take-in-title"
	novalidate
	onsubmit={(event) => void takeIn(event)}
>
	<h1 id="take-in-title" class="pt-5 pb-1 text-[26px] leading-tight font-bold tracking-tight">
		Take in an order
	</h1>
	<p class="mb-3 max-w-[64ch] text-soft">
		Write what is wanted as it is said to you. Wendle reads it into a set-up that you can still change on Fit.
	</p>
	<OrderFields {draft} {spools} issues={sending.issues} />
	{#if sending.trouble}<p role="alert" class="mt-3 text-[16px] text-warn">{sending.trouble}</p>{/if}
	<div class="mt-6 flex flex-wrap gap-3">
		<button type="submit" class="action" disabled={sending.busy}>Take the order in</button>
		<a class="action-quiet min-h-11" href="/orders">Back to the orders</a>
	</div>
</form>
