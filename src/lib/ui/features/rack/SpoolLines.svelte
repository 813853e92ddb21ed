<script lang="ts">
	import { showDay } from '$lib/wording/dates';
	import { usePreferences } from '../../state/preferences.svelte';
	import ThreadRow from '../paper/ThreadRow.svelte';
	import Choice from './Choice.svelte';
	import type { RackEntry } from './shown';

	/** Spools as one line each, for those who have many. */
	interface Props {
		entries: readonly RackEntry[];
		due: Readonly<Record<string, number>>;
		/** Spools that are chosen, by id; undefined while nobody is choosing. */
		chosen: ReadonlySet<string> | undefined;
		onchoose: (id: string) => void;
	}
	let { entries, due, chosen, onchoose }: Props = $props();
	const preferences = usePreferences();
</script>

<ul class="border-t-[3px] border-ink">
	{#each entries as entry (entry.id)}
		<li
			class="relative grid items-center gap-x-5 border-b border-hair py-1.5 text-[15px] sm:grid-cols-[15rem_8rem_1fr_auto]"
			data-spool={entry.name}
			data-setup={entry.setupId}
		>
			<Choice {entry} {chosen} {onchoose} />
			<a class="figure font-semibold hover:underline" href={entry.href}>{entry.name}</a>
			<span class="max-sm:hidden"
				>{#if entry.strands}<ThreadRow strands={entry.strands} />{/if}</span
			>
			<span class="figure text-[14px]">
				{[
					...entry.facts,
					...(entry.woundOn ? [`wound ${showDay(entry.woundOn, preferences.locale)}`] : [])
				].join(' · ')}
			</span>
			<span class="flex flex-wrap gap-x-4 text-[14px]">
				{#if (due[entry.id] ?? 0) > 0}
					<a class="figure font-semibold underline underline-offset-4" href="/care?spool={entry.id}"
						>{due[entry.id]} due</a
					>
				{/if}
				{#if entry.job}
					<a class="figure underline underline-offset-4" href={entry.job.href}
						>{entry.job.done > 0 ? 'Carry on' : 'To the bench'}</a
					>
				{:else if entry.swaps}
					<a
						class="figure underline underline-offset-4"
						href="/swap?spool={entry.id}"
						aria-label="Swap what is on {entry.name}">Swap</a
					>
				{/if}
			</span>
		</li>
	{/each}
</ul>
