<script lang="ts">
	import { goto } from '$app/navigation';
	import type { Found } from '$lib/inventory/found';
	import { found as foundAnswer } from '../../state/answers';
	import { send, troubleOf } from '../../state/api';
	import ScanCode from './ScanCode.svelte';

	/** Something on the rack, on a coil, in an order or in the stock, by the code on its label or by its name. */
	interface Props {
		sought: string;
		found: readonly Found[];
	}
	let props: Props = $props();
	/** What was sought last, and what fits it: from the address first, then from what is typed. */
	// svelte-ignore state_referenced_locally
	let sought = $state(props.sought);
	// svelte-ignore state_referenced_locally
	let typed = $state(props.sought);
	// svelte-ignore state_referenced_locally
	let found = $state.raw(props.found);
	let trouble = $state<string>();

	async function find(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const q = typed;
		const reply = await send('POST', '/api/find', { q }, { answer: foundAnswer });
		trouble = troubleOf(reply, 'What you typed stays here');
		if (reply.kind !== 'ok') return;
		const [first] = reply.value.found;
		// A code that one thing has leads straight to it.
		if (reply.value.byCode && reply.value.found.length === 1 && first) {
			await goto(first.href);
			return;
		}
		[sought, found] = [q, reply.value.found];
	}
	const KINDS = { spool: 'Spool', line: 'On a coil', order: 'Order', stock: 'Stock' } as const;
</script>

<div class="mx-auto max-w-[900px] px-4 pb-12 sm:px-8">
	<h1 class="pt-5 text-[26px] leading-tight font-bold tracking-tight">Find</h1>
	<p class="mt-1 max-w-[64ch] text-soft">
		Type the five signs under the code on a label or a ticket, or a part of a name, or an order's number.
	</p>
	<form class="mt-4 flex max-w-xl items-end gap-3" role="search" onsubmit={(event) => void find(event)}>
		<label class="min-w-0 flex-1">
			<span class="block text-[13px] text-soft">Code or name</span>
			<input
				name="q"
				bind:value={typed}
				maxlength="100"
				autocomplete="off"
				spellcheck="false"
				class="w-full border-b-[1.5px] border-ink bg-transparent py-1 text-[19px] font-medium"
			/>
		</label>
		<button type="submit" class="action">Find it</button>
	</form>
	{#if trouble}<p class="mt-2 text-[15px] text-warn" role="alert">{trouble}</p>{/if}
	<ScanCode />
	{#if sought.trim() !== ''}
		<p class="mt-4 text-[15px]" role="status">
			{#if found.length === 0}
				Nothing has the code or the name "{sought.trim()}". Check the code on the label, or try a part of the
				name.
			{:else}
				{found.length === 1 ? 'One thing fits.' : `${found.length} things fit.`}
			{/if}
		</p>
	{/if}
	{#if found.length > 0}
		<ul class="mt-2 border-t-[3px] border-ink" data-found>
			{#each found as { kind, name, beside, href, code } (href)}
				<li class="border-b border-hair">
					<a
						class="grid items-baseline gap-x-5 py-2.5 hover:bg-paper sm:grid-cols-[6rem_16rem_minmax(0,1fr)_4rem]"
						{href}
					>
						<span class="text-[14px] text-soft">{KINDS[kind]}</span>
						<span class="figure text-[17px] font-semibold">{name}</span>
						<span class="min-w-0 truncate text-[15px]">{beside}</span>
						<span class="figure text-[15px]">{code}</span>
					</a>
				</li>
			{/each}
		</ul>
	{/if}
</div>
