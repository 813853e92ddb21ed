<script lang="ts">
	import { MOST_WISH } from '$lib/orders/order';
	import { readWish, type NamedSpool, type Wish } from '$lib/orders/wish';
	import Field from '../../primitives/Field.svelte';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import WishReading from './WishReading.svelte';

	/** One reel of an order: what is wanted, in one line, and which reel it is. */
	interface Props {
		/** Which of several it is; empty for the only one. */
		which: string;
		wish: string;
		/** The spool that was chosen by hand; undefined: the one that the wish names; null: one that is new to Wendle. */
		spoolId: string | null | undefined;
		spools: readonly NamedSpool[];
		error?: string | undefined;
		onchange: (part: { wish?: string; spoolId?: string | null }) => void;
		/** What the wish is read as. */
		onread: (wish: Wish) => void;
		onremove?: (() => void) | undefined;
	}
	let { which, wish, spoolId, spools, error, onchange, onread, onremove }: Props = $props();
	const preferences = usePreferences();
	const read = $derived(readWish(wish, { today: preferences.today, spools }));
	$effect(() => onread(read));
	const chosen = $derived(spoolId === undefined ? read.said.reel?.spoolId : spoolId);
	const spool = $derived(spools.find(({ id }) => id === chosen));
	const NEW = '';
	const choices = $derived([
		{ value: NEW, label: 'A reel that is new to Wendle' },
		...spools.map(({ id, name }) => ({ value: id, label: name || 'Unnamed spool' }))
	]);
</script>

<div class="border-t border-hair py-3">
	<div class="flex items-end gap-3">
		<div class="min-w-0 flex-1">
			<Field
				label={which ? `What is wanted on ${which}` : 'What is wanted'}
				value={wish}
				maxlength={MOST_WISH}
				placeholder="WF6F on my 6, left hand, 20 lb, by Saturday"
				{error}
				oninput={(value) => onchange({ wish: value })}
			/>
		</div>
		{#if onremove}
			<button type="button" class="action-quiet min-h-9" onclick={onremove}>Remove {which}</button>
		{/if}
	</div>
	{#if wish.trim() !== ''}<WishReading wish={read} {spool} />{/if}
	{#if spools.length > 0}
		<div class="mt-2 max-w-80">
			<Select
				label={which ? `Reel for ${which}` : 'Which reel is it?'}
				options={choices}
				value={spool?.id ?? NEW}
				onchange={(value) => onchange({ spoolId: value === NEW ? null : value })}
			/>
		</div>
	{/if}
</div>
