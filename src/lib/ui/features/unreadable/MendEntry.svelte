<script lang="ts">
	import { UNREADABLE_NAMES, type Unreadable } from '$lib/inventory/unreadable';
	import { Acts } from './acts';
	import EntryActs from './EntryActs.svelte';
	import { problemText } from './problem';

	/** An entry as its text, to be put right by hand. */
	let { entry }: { entry: Unreadable & { readonly text: string } } = $props();
	const acts = new Acts();
	// svelte-ignore state_referenced_locally
	let text = $state(entry.text);
	let trouble = $state<string>();
	let busy = $state(false);

	async function save(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		if (busy) return;
		busy = true;
		trouble = await acts.mend(entry, text);
		busy = false;
	}
</script>

<div class="mx-auto max-w-[880px] px-4 pt-6 pb-16 sm:px-8">
	<h1 class="text-[26px] leading-tight font-bold tracking-tight">
		{UNREADABLE_NAMES[entry.table]}{entry.name ? `: ${entry.name}` : ''}
	</h1>
	<p class="mt-2 max-w-[64ch] text-[16px]">
		{entry.issues.length > 0
			? "Wendle can't read this entry. Its text is below: change what is wrong, then save."
			: 'This is the text that Wendle keeps for this entry.'}
	</p>
	{#if entry.issues.length > 0}
		<ul class="mt-3 list-disc pl-5 text-[15px] text-warn" data-problems>
			{#each entry.issues as issue, i (i)}<li>{problemText([issue])}</li>{/each}
		</ul>
	{/if}
	<form class="mt-4" onsubmit={save}>
		<label for="entry-text" class="block text-[13px] text-soft">Text, as JSON</label>
		<textarea
			id="entry-text"
			class="figure h-[420px] w-full border-[1.5px] border-ink bg-paper p-3 text-[14px] leading-snug"
			spellcheck="false"
			autocomplete="off"
			bind:value={text}
		></textarea>
		{#if trouble}<p role="alert" class="mt-2 text-[15px] text-warn">{trouble}</p>{/if}
		<div class="mt-3 flex flex-wrap items-center gap-x-6 gap-y-3">
			<button type="submit" class="action" disabled={busy}>Save the text</button>
			<EntryActs {entry} opened />
		</div>
	</form>
</div>
