<script lang="ts">
	import type { BoardOrder } from '$lib/orders/board';
	import type { NamedSpool } from '$lib/orders/wish';
	import { same } from '$lib/setup/merge';
	import { currentOrder, savedOrder } from '../../state/answers';
	import { FormSend } from '../../state/form-send.svelte';
	import { staleAnswer } from '../../state/write';
	import { notify } from '../../state/notices.svelte';
	import { refreshOrders } from './changes';
	import { OrderDraft } from './order-draft.svelte';
	import OrderFields from './OrderFields.svelte';

	/** What an order says, to be changed. */
	interface Props {
		order: BoardOrder;
		spools: readonly NamedSpool[];
		onclose: () => void;
	}
	let { order, spools, onclose }: Props = $props();
	// What is being typed is not thrown over by what another window saves: that is noticed when this is saved.
	// svelte-ignore state_referenced_locally
	const seen = order;
	const draft = new OrderDraft(seen);
	const sending = new FormSend();

	const put = (version: number) =>
		sending.send('PUT', `/api/orders/${seen.id}`, draft.saved(version), savedOrder);

	async function save(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		let reply = await put(seen.version);
		const now = reply && (await staleAnswer(reply, currentOrder));
		// It was moved on the board meanwhile, and nothing that is changed here was.
		if (now && same(now.form, seen.form)) reply = await put(now.version);
		if (reply?.kind !== 'ok') return;
		await refreshOrders();
		await notify(`Order ${seen.number} is saved.`);
		onclose();
	}
</script>

<form
	class="mt-4 border-l-[3px] border-line pl-4"
	aria-label="Change this order"
	novalidate
	onsubmit={(event) => void save(event)}
>
	<OrderFields {draft} {spools} issues={sending.issues} />
	{#if sending.trouble}<p role="alert" class="mt-3 text-[16px] text-warn">{sending.trouble}</p>{/if}
	<div class="mt-5 flex flex-wrap gap-3">
		<button type="submit" class="action" disabled={sending.busy}>Save this order</button>
		<button type="button" class="action-quiet min-h-11" onclick={onclose}>Leave it as it is</button>
	</div>
</form>
