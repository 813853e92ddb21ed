<script lang="ts">
	import { usePreferences } from '../../state/preferences.svelte';
	import { showDay } from '$lib/wording/dates';
	import Trash from '@lucide/svelte/icons/trash-2';
	import SpoolGlyph from '../../charts/section/SpoolGlyph.svelte';
	import ThreadRow from '../paper/ThreadRow.svelte';
	import Choice from './Choice.svelte';
	import type { RackEntry } from './shown';

	interface Props {
		entries: readonly RackEntry[];
		/** How much is overdue on each spool. */
		due: Readonly<Record<string, number>>;
		/** Spools that are chosen, by id; undefined while nobody is choosing. */
		chosen: ReadonlySet<string> | undefined;
		onchoose: (id: string) => void;
		onremove: (entry: RackEntry) => void;
		/** A plan that nobody wound is dropped. */
		ondrop: (plan: string) => void;
	}
	let { entries, due, chosen, onchoose, onremove, ondrop }: Props = $props();
	const preferences = usePreferences();

	/** Pixels per millimetre: the same for every spool, so that they can be compared. */
	const SCALE = 2.9;
	/** Where there is room for so many columns, one fewer is used when the last row would hold a single spool. */
	const ROOM_FOR = [3, 4, 5, 6, 7, 8];
	const columns = $derived(
		ROOM_FOR.map(
			(most) => `--at-${most}: ${entries.length > 1 && entries.length % most === 1 ? most - 1 : most}`
		).join('; ')
	);
</script>

<div class="shelf-room">
	<!-- Each row is as tall as its largest spool: picture, words and links of one row share their heights. -->
	<ul class="shelf grid" style={columns}>
		{#each entries as entry (entry.id)}
			<li
				class="group relative row-span-3 grid grid-rows-subgrid pb-8"
				data-spool={entry.name}
				data-setup={entry.setupId}
			>
				<Choice {entry} {chosen} {onchoose} />
				<a href={entry.href} class="row-span-2 grid grid-rows-subgrid outline-offset-[-2px]">
					<span class="flex items-end justify-center border-b-[3px] border-ink px-2 pt-4">
						{#if entry.drawing}
							<SpoolGlyph {...entry.drawing} scale={SCALE} />
						{:else}
							<span class="mb-3 max-w-[12ch] text-center text-[13.5px] text-soft">no measures yet</span>
						{/if}
					</span>
					<span class="flex flex-col">
						<span class="figure mt-2.5 pr-4 text-[17px] leading-tight font-semibold group-hover:underline"
							>{entry.name}</span
						>
						{#if entry.strands}
							<span class="mt-1 mr-4 {entry.drawing?.faint ? 'opacity-50' : ''}"
								><ThreadRow strands={entry.strands} /></span
							>
						{/if}
						{#each entry.facts as fact (fact)}
							<span class="figure pr-3 text-[14px] leading-snug">{fact}</span>
						{/each}
						<span class="pr-3 text-[13.5px] text-soft">
							{entry.hand}-hand wind{#if entry.woundOn}, wound {showDay(
									entry.woundOn,
									preferences.locale
								)}{/if}
						</span>
					</span>
				</a>
				<div>
					{#if (due[entry.id] ?? 0) > 0}
						<a
							href="/care?spool={entry.id}"
							class="figure mt-1 inline-flex min-h-6 items-center text-[14px] font-semibold underline decoration-2 underline-offset-4"
							data-due-on-rack>{due[entry.id] === 1 ? '1 job is due' : `${due[entry.id]} jobs are due`}</a
						>
					{/if}
					<div class="mt-1.5 flex flex-wrap items-center gap-x-3 gap-y-1 pr-3">
						{#if entry.swaps}
							<a
								href="/swap?spool={entry.id}"
								class="figure inline-flex min-h-6 items-center text-[14px] underline underline-offset-4"
								aria-label="Swap what is on {entry.name}">Swap</a
							>
						{/if}
						{#if entry.job}
							<a
								href={entry.job.href}
								class="figure text-[14px] font-semibold underline decoration-2 underline-offset-4"
							>
								{#if entry.job.done === entry.job.total}
									<span class="px-0.5 marked">Save how it turned out</span>
								{:else if entry.job.done > 0}
									<span class="px-0.5 marked">Carry on</span>{#if Number.isFinite(entry.job.total)}, {entry
											.job.done} of
										{entry.job.total} done{/if}
								{:else}
									To the bench
								{/if}
							</a>
							{#if entry.job.planId !== undefined && entry.job.done === 0}
								{@const plan = entry.job.planId}
								<button
									type="button"
									class="figure inline-flex min-h-6 items-center text-[14px] underline underline-offset-4"
									onclick={() => ondrop(plan)}>Drop the plan</button
								>
							{/if}
						{/if}
						<button
							type="button"
							class="ml-auto grid size-7 place-items-center rounded-sm text-soft opacity-0 group-hover:opacity-100 hover:text-ink focus-visible:opacity-100 max-lg:opacity-100"
							aria-label="Take {entry.name} off the rack"
							onclick={() => onremove(entry)}
						>
							<Trash size={15} />
						</button>
					</div>
				</div>
			</li>
		{/each}
	</ul>
</div>
