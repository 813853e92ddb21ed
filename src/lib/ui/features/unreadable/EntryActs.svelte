<script lang="ts">
	import type { Unreadable } from '$lib/inventory/unreadable';
	import { Acts } from './acts';

	/** What can be done with an entry that can't be read. */
	let { entry, opened = false }: { entry: Unreadable; opened?: boolean } = $props();
	const acts = new Acts();
	let trouble = $state<string>();
	let busy = $state(false);

	async function act(what: () => Promise<string | undefined>): Promise<void> {
		if (busy) return;
		busy = true;
		trouble = await what();
		busy = false;
	}
</script>

<div class="figure flex flex-wrap gap-x-5 gap-y-1 text-[15px]">
	{#if !opened}
		<a class="grid min-h-9 place-items-center underline" href={Acts.address(entry)}>Open as text</a>
	{/if}
	{#if entry.restorable}
		<button
			type="button"
			class="min-h-9 underline"
			disabled={busy}
			onclick={() => act(() => acts.restore(entry))}>Restore the version before</button
		>
	{/if}
	<a class="grid min-h-9 place-items-center underline" href="/api{Acts.address(entry)}" download>Download</a>
	<button
		type="button"
		class="min-h-9 underline"
		disabled={busy}
		onclick={() => act(() => acts.takeOff(entry))}>Take it off the rack</button
	>
</div>
{#if trouble}<p role="alert" class="mt-1 text-[15px] text-warn">{trouble}</p>{/if}
