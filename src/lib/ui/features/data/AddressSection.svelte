<script lang="ts">
	import type { Address } from '$lib/inventory/address';
	import Field from '../../primitives/Field.svelte';
	import { send, troubleOf } from '../../state/api';
	import { tellChange } from '../../state/undo.svelte';
	import { refresh } from '../../state/refresh';

	/** Where the codes on labels and tickets lead. */
	let { address }: { address: Address } = $props();
	let typed = $state<string>();
	let wrong = $state<string>();
	const text = $derived(typed ?? address.chosen ?? '');

	const refreshData = (): Promise<void> => refresh('wendle:data');
	const put = (to: string) => send('PUT', '/api/address', { address: to });
	async function save(to: string): Promise<void> {
		const before = address.chosen ?? '';
		const reply = await put(to);
		wrong = troubleOf(reply, 'What you typed stays here');
		if (wrong !== undefined) return;
		typed = undefined;
		await refreshData();
		await tellChange({
			said:
				to.trim() === ''
					? 'Wendle has no address of its own any more.'
					: 'Labels and tickets now lead to this address.',
			undo: () => put(before),
			redo: () => put(to),
			stays: 'The address is as you saved it',
			refresh: refreshData
		});
	}
</script>

<section class="mt-8 border-t-[3px] border-ink pt-3" aria-labelledby="address">
	<h2 id="address" class="text-[19px] font-semibold">Where the codes on labels lead</h2>
	<p class="mt-1 max-w-[64ch]">
		A code on a label or a ticket leads to <span class="figure font-semibold" data-origin
			>{address.origin}</span
		>.
		{#if address.loopback}<span class="text-warn"
				>Only this computer can open that. Give the address that phones and other computers use.</span
			>{/if}
	</p>
	<form
		class="mt-3 flex max-w-[44rem] flex-wrap items-end gap-3"
		onsubmit={(event) => {
			event.preventDefault();
			void save(text);
		}}
	>
		<div class="min-w-0 flex-1 basis-64">
			<Field
				label="Address that people use"
				value={text}
				placeholder={address.guess}
				maxlength={200}
				error={wrong}
				oninput={(value) => ([typed, wrong] = [value, undefined])}
			/>
		</div>
		<button type="submit" class="action-quiet min-h-11" disabled={text === (address.chosen ?? '')}
			>Save the address</button
		>
		{#if address.loopback && address.chosen === null}
			<button type="button" class="action-quiet min-h-11" onclick={() => (typed = address.guess)}
				>Try {address.guess}</button
			>
		{/if}
	</form>
	<p class="mt-2 max-w-[64ch] text-[14px] text-soft">
		Open it on a phone before you print. Every label has a short code as well: type it in
		<a class="underline underline-offset-4" href="/find">Find</a>.
	</p>
</section>
