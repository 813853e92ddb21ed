<script lang="ts">
	import type { NamedSpool } from '$lib/orders/wish';
	import type { WordedIssue } from '$lib/wording/issues';
	import Plus from '@lucide/svelte/icons/plus';
	import Field from '../../primitives/Field.svelte';
	import TextArea from '../../primitives/TextArea.svelte';
	import type { OrderDraft } from './order-draft.svelte';
	import ReelWish from './ReelWish.svelte';

	/** Everything about an order: what is wanted on each reel first, then whose it is. */
	interface Props {
		draft: OrderDraft;
		spools: readonly NamedSpool[];
		issues: readonly WordedIssue[];
	}
	let { draft, spools, issues }: Props = $props();
	const count = $derived(draft.staying.length + draft.reels.length);
	/** What is wrong with a field, by its path in what was sent. */
	const error = (...path: (string | number)[]): string | undefined =>
		issues.find((issue) => path.every((part, i) => issue.path[i] === part))?.message;
	const which = (i: number): string => (count > 1 ? `reel ${draft.staying.length + i + 1}` : '');
</script>

{#each draft.staying as reel, i (reel.id)}
	<div class="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-t border-hair py-3">
		<span class="figure font-semibold">{reel.name || 'Unnamed spool'}</span>
		<span class="min-w-0 flex-1">{reel.wish}</span>
		{#if count > 1}
			<button
				type="button"
				class="action-quiet min-h-9"
				onclick={() => (draft.staying = draft.staying.filter(({ id }) => id !== reel.id))}
				>Remove reel {i + 1}</button
			>
		{/if}
	</div>
{/each}
{#each draft.reels as reel, i (reel.key)}
	<ReelWish
		which={which(i)}
		wish={reel.wish}
		spoolId={reel.spoolId}
		{spools}
		error={error('reels', draft.staying.length + i)}
		onchange={(part) => Object.assign(reel, part)}
		onread={(wish) => (reel.read = wish)}
		onremove={count > 1 ? () => (draft.reels = draft.reels.filter(({ key }) => key !== reel.key)) : undefined}
	/>
{/each}
<button
	type="button"
	class="figure flex min-h-9 items-center gap-1.5 text-[15px] underline"
	onclick={() => draft.addReel()}><Plus size={16} />Add another reel to this order</button
>
<div class="mt-4 grid gap-x-6 gap-y-4 sm:grid-cols-2">
	<Field
		label="Whose it is: a name or a number"
		value={draft.who}
		maxlength={60}
		error={error('who')}
		oninput={(value) => (draft.who = value)}
	/>
	<Field
		label="Due on"
		type="date"
		value={draft.due}
		error={error('due')}
		oninput={(value) => (draft.due = value)}
	/>
	<div class="sm:col-span-2">
		<TextArea label="Notes" value={draft.notes} oninput={(notes) => (draft.notes = notes)} />
	</div>
</div>
{#each draft.prices as price, i (i)}
	<div class="mt-3 grid grid-cols-[1fr_8rem] gap-x-6">
		<Field
			label="What is charged for, line {i + 1}"
			value={price.what}
			maxlength={80}
			oninput={(value) => (price.what = value)}
		/>
		<Field
			label="Price, line {i + 1}"
			value={price.amount}
			maxlength={20}
			oninput={(value) => (price.amount = value)}
		/>
	</div>
{/each}
{#if draft.prices.length < 12}
	<button
		type="button"
		class="figure mt-3 flex min-h-9 items-center gap-1.5 text-[15px] underline"
		onclick={() => draft.addPrice()}><Plus size={16} />Add a price line</button
	>
{/if}
