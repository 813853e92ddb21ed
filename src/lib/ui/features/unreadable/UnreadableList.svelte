<script lang="ts">
	import { UNREADABLE_NAMES, type Unreadable } from '$lib/inventory/unreadable';
	import EntryActs from './EntryActs.svelte';
	import { problemText } from './problem';

	/** Entries of the data file that can't be read: shown as such, and in nobody's way. */
	let { entries }: { entries: readonly Unreadable[] } = $props();
</script>

<section
	class="mt-6 border-l-[3px] border-warn pl-4"
	aria-labelledby="unreadable"
	data-unreadable={entries.length}
>
	<h2 id="unreadable" class="text-[19px] font-semibold">
		Wendle can't read {entries.length === 1 ? 'one entry' : `${entries.length} entries`} of your data
	</h2>
	<p class="max-w-[64ch] text-[15px] text-soft">
		Everything else works as usual, and nothing is deleted. Repair the entry, or take it off the rack.
	</p>
	<ul>
		{#each entries as entry (`${entry.table}/${entry.id}`)}
			<li class="mt-3" data-unreadable-entry={entry.table}>
				<h3 class="text-[16px] font-semibold">
					{UNREADABLE_NAMES[entry.table]}{entry.name ? `: ${entry.name}` : ''}
				</h3>
				<p class="max-w-[64ch] text-[15px]">{problemText(entry.issues)}</p>
				<EntryActs {entry} />
			</li>
		{/each}
	</ul>
</section>
