<script lang="ts">
	import type { BoardOrder } from '$lib/orders/board';
	import type { NamedSpool } from '$lib/orders/wish';
	import type { SavedOrder } from '$lib/orders/order';
	import { same } from '$lib/setup/merge';
	import type { WordedIssue } from '$lib/wording/issues';
	import { currentOrder, savedOrder } from '../../state/answers';
	import { troubleOf, type Reply } from '../../state/api';
	import { staleAnswer, Write } from '../../state/write';
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
	const write = new Write();
	let issues = $state<readonly WordedIssue[]>([]);
	let trouble = $state<string>();
	let busy = $state(false);

	const put = (version: number): Promise<Reply<SavedOrder>> =>
		write.send('PUT', `/api/orders/${seen.id}`, draft.saved(version), savedOrder);

	async function save(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		if (busy) return;
		busy = true;
		let reply = await put(seen.version);
		const now = await staleAnswer(reply, currentOrder);
		// It was moved on the board meanwhile, and nothing that is changed here was.
		if (now && same(now.form, seen.form)) reply = await put(now.version);
		busy = false;
		issues = reply.kind === 'refused' ? reply.issues : [];
		trouble = troubleOf(reply, 'What you wrote stays here');
		if (reply.kind !== 'ok') return;
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
	<OrderFields {draft} {spools} {issues} />
	{#if trouble}<p role="alert" class="mt-3 text-[16px] text-warn">{trouble}</p>{/if}
	<div class="mt-5 flex flex-wrap gap-3">
		<button type="submit" class="action" disabled={busy}>Save this order</button>
		<button type="button" class="action-quiet min-h-11" onclick={onclose}>Leave it as it is</button>
	</div>
</form>
