<script lang="ts">
	import { page } from '$app/state';
	import { arranged, firstOf } from '$lib/ui/features/rack/arranged';
	import ChosenBar from '$lib/ui/features/rack/ChosenBar.svelte';
	import RackFilters from '$lib/ui/features/rack/RackFilters.svelte';
	import Shelf from '$lib/ui/features/rack/Shelf.svelte';
	import { worded, type RackEntry } from '$lib/ui/features/rack/shown';
	import SpoolLines from '$lib/ui/features/rack/SpoolLines.svelte';
	import UnreadableList from '$lib/ui/features/unreadable/UnreadableList.svelte';
	import { send, troubleOf, type Reply } from '$lib/ui/state/api';
	import { usePreferences } from '$lib/ui/state/preferences.svelte';
	import { rackQuery, readRackView, type RackView } from '$lib/ui/state/rack-query';
	import { UrlState } from '$lib/ui/state/url-state.svelte';
	import Plus from '@lucide/svelte/icons/plus';
	import { notify } from '$lib/ui/state/notices.svelte';
	import { takenAway, tellChange } from '$lib/ui/state/undo.svelte';
	import { refresh } from '$lib/ui/state/refresh';

	import type { Snapshot } from './$types';

	let { data } = $props();
	const preferences = usePreferences();
	const entries = $derived(data.rack.map((entry) => worded(entry, preferences.units)));
	const begun = $derived(entries.filter(({ job }) => job && job.done > 0).length);

	/** Whoever has so few sees all of them at a glance. */
	const FEW = 5;
	const asked = new UrlState<RackView>(
		() => readRackView(page.url.searchParams),
		(view) => `/${rackQuery(view)}`
	);
	/** It may be the name of a person: the browser's history has it, and no address. */
	let sought = $state('');
	/** So many are drawn to begin with, and so many more each time that somebody asks for them: each is a drawing. */
	const MANY = 60;
	let most = $state(MANY);
	export const snapshot: Snapshot<{ sought: string; most: number }> = {
		capture: () => ({ sought, most }),
		restore: (before) => ({ sought, most } = before)
	};
	const groups = $derived(arranged(entries, sought, asked.now, data.due, data.waters));

	/** Spools that are chosen for something that is done to all of them; undefined while nobody is choosing. */
	let picked = $state<ReadonlySet<string>>();
	const shown = $derived(groups.flatMap(({ entries: own }) => own));
	/** What is not shown any more is not chosen either. */
	const chosen = $derived(shown.filter(({ id }) => picked?.has(id)));
	const pick = (id: string): void =>
		void (picked = new Set(picked?.has(id) ? [...picked].filter((other) => other !== id) : [...picked!, id]));

	function showAll(): void {
		sought = '';
		void asked.change({ show: 'all' });
	}
	const refreshRack = (): Promise<void> => refresh('wendle:rack');

	async function drop(plan: string): Promise<void> {
		const reply = await send('DELETE', `/api/setups/${plan}`);
		const trouble = troubleOf(reply, 'The plan is still there');
		if (trouble !== undefined) return notify(trouble);
		await refreshRack();
		void tellChange({
			said: 'The plan is dropped.',
			label: 'Plan it again',
			...takenAway(`/api/setups/${plan}`),
			stays: 'The plan is still dropped',
			refresh: refreshRack
		});
	}

	/** One after another; the first that is not done ends it. */
	async function toEach(ids: readonly string[], act: (id: string) => Promise<Reply<undefined>>) {
		let reply: Reply<undefined> = { kind: 'ok', value: undefined };
		for (const id of ids) if (reply.kind === 'ok') reply = await act(id);
		return reply;
	}
	const takeOff = (id: string) => send('DELETE', `/api/spools/${id}`);
	const putBack = (id: string) => send('POST', `/api/spools/${id}/restore`);
	async function remove(gone: readonly RackEntry[]): Promise<void> {
		const ids = gone.map(({ id }) => id);
		const one = gone.length === 1 ? gone[0]!.name : undefined;
		const trouble = troubleOf(
			await toEach(ids, takeOff),
			`${one ?? 'Some of them'} may still be on the rack`
		);
		await refreshRack();
		if (trouble !== undefined) return notify(trouble);
		picked = undefined;
		void tellChange({
			said: one ? `${one} is off the rack.` : `${gone.length} spools are off the rack.`,
			label: one ? 'Put it back' : 'Put them back',
			undo: () => toEach(ids, putBack),
			stays: `${one ?? 'Some of them'} may still be off the rack`,
			refresh: refreshRack
		});
	}
</script>

<svelte:head><title>Rack · Wendle</title></svelte:head>

<div class="mx-auto max-w-[1440px] px-4 sm:px-8">
	{#if data.unreadable.length > 0}<UnreadableList entries={data.unreadable} />{/if}
	{#if data.Empty}
		<h1 class="sr-only">Rack</h1>
		<data.Empty />
	{:else}
		<div class="flex flex-wrap items-end gap-x-6 gap-y-2 pt-5 pb-2">
			<h1 class="text-[26px] leading-tight font-bold tracking-tight">
				{entries.length === 1 ? 'One spool' : `${entries.length} spools`}{begun > 0
					? `, ${begun} on the bench`
					: ''}
			</h1>
			{#if asked.now.as !== 'lines'}
				<p
					class="flex items-center gap-2 text-[13.5px] leading-tight text-soft lg:min-w-52 lg:flex-1 lg:basis-0"
				>
					<svg width="43" height="43" viewBox="-21.5 -21.5 43 43" aria-hidden="true" class="-my-2 shrink-0">
						<circle r="21" fill="none" stroke="var(--soft)" /><circle
							r="17.5"
							fill="none"
							stroke="var(--soft)"
							stroke-dasharray="1 2"
						/>
					</svg>
					Each spool is cut open along its axle, all to one scale. The coin is 20 mm across.
				</p>
			{/if}
			{#if data.coiled > 0}
				<a
					href="/care?where=coil&due=1"
					class="figure text-[14px] font-semibold underline decoration-2 underline-offset-4"
					data-due-on-coils
					>{data.coiled === 1 ? '1 job is due' : `${data.coiled} jobs are due`} on lines that are on coils</a
				>
			{/if}
			<a href="/learnt" class="figure text-[14px] underline underline-offset-4">What Wendle has learnt</a>
			<a href="/data" class="figure text-[14px] underline underline-offset-4">Your data</a>
			<a href="/fit/new" class="ml-auto action"><Plus size={18} />New set-up</a>
		</div>
		{#if entries.length > FEW}
			<RackFilters
				bind:sought
				view={asked.now}
				onchange={(part) => void asked.change(part)}
				choosing={picked !== undefined}
				onchoosing={() => (picked = picked ? undefined : new Set())}
			/>
		{/if}
		{#each firstOf(groups, most) as group (group.heading)}
			{#if group.heading}<h2 class="figure pt-5 pb-1 text-[18px] font-semibold">{group.heading}</h2>{/if}
			{#if asked.now.as === 'lines'}
				<SpoolLines entries={group.entries} due={data.due} chosen={picked} onchoose={pick} />
			{:else}
				<Shelf
					entries={group.entries}
					due={data.due}
					chosen={picked}
					onchoose={pick}
					onremove={(entry) => void remove([entry])}
					ondrop={(plan) => void drop(plan)}
				/>
			{/if}
		{:else}
			<p class="py-8">
				No spool fits what you look for.
				<button type="button" class="underline" onclick={showAll}>Show all spools</button>
			</p>
		{/each}
		{#if shown.length > most}
			<button type="button" class="mt-4 action-quiet min-h-11" onclick={() => (most += 2 * MANY)}
				>Show {shown.length - most === 1 ? '1 more spool' : `${shown.length - most} more spools`}</button
			>
		{/if}
		{#if picked}
			<ChosenBar
				{chosen}
				shown={shown.length}
				onall={() => (picked = new Set(shown.map(({ id }) => id)))}
				onremove={() => void remove(chosen)}
				onclose={() => (picked = undefined)}
			/>
		{/if}
	{/if}
</div>
