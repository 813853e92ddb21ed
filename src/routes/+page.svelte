<script lang="ts">
	import { invalidate } from '$app/navigation';
	import { page } from '$app/state';
	import { arranged } from '$lib/ui/features/rack/arranged';
	import EmptyRack from '$lib/ui/features/rack/EmptyRack.svelte';
	import { rackEntry, type RackEntry } from '$lib/ui/features/rack/entry';
	import RackFilters from '$lib/ui/features/rack/RackFilters.svelte';
	import Shelf from '$lib/ui/features/rack/Shelf.svelte';
	import SpoolLines from '$lib/ui/features/rack/SpoolLines.svelte';
	import UnreadableList from '$lib/ui/features/unreadable/UnreadableList.svelte';
	import { send, troubleOf } from '$lib/ui/state/api';
	import { usePreferences } from '$lib/ui/state/preferences.svelte';
	import { rackQuery, readRackView, type RackView } from '$lib/ui/state/rack-query';
	import { UrlState } from '$lib/ui/state/url-state.svelte';
	import Plus from '@lucide/svelte/icons/plus';
	import { notify } from '$lib/ui/state/notices.svelte';
	import { changed } from '$lib/ui/state/undo.svelte';

	let { data } = $props();
	const preferences = usePreferences();
	const entries = $derived(data.rack.map((spool) => rackEntry(spool, preferences.units)));
	const begun = $derived(entries.filter(({ job }) => job && job.done > 0).length);

	/** Whoever has so few sees all of them at a glance. */
	const FEW = 5;
	const asked = new UrlState<RackView>(
		() => readRackView(page.url.searchParams),
		(view) => `/${rackQuery(view)}`
	);
	const groups = $derived(arranged(entries, asked.now, data.due));

	const refresh = (): Promise<void> => invalidate('wendle:rack');

	async function drop(plan: string): Promise<void> {
		const reply = await send('DELETE', `/api/setups/${plan}`);
		const trouble = troubleOf(reply, 'The plan is still there');
		if (trouble !== undefined) return notify(trouble);
		await refresh();
		void changed({
			said: 'The plan is dropped.',
			label: 'Plan it again',
			undo: () => send('POST', `/api/setups/${plan}/restore`),
			stays: 'The plan is still dropped',
			refresh
		});
	}

	async function remove({ id, name }: RackEntry): Promise<void> {
		const reply = await send('DELETE', `/api/spools/${id}`);
		const trouble = troubleOf(reply, `${name} is still on the rack`);
		if (trouble !== undefined) return notify(trouble);
		await refresh();
		void changed({
			said: `${name} is off the rack.`,
			label: 'Put it back',
			undo: () => send('POST', `/api/spools/${id}/restore`),
			stays: `${name} is still off the rack`,
			refresh
		});
	}
</script>

<svelte:head><title>Rack · Wendle</title></svelte:head>

<div class="mx-auto max-w-[1440px] px-4 sm:px-8">
	{#if data.unreadable.length > 0}<UnreadableList entries={data.unreadable} />{/if}
	{#if entries.length === 0 && data.unreadable.length === 0}
		<h1 class="sr-only">Rack</h1>
		<EmptyRack />
	{:else}
		<div class="flex flex-wrap items-end gap-x-6 gap-y-2 pt-5 pb-2">
			<h1 class="text-[26px] leading-tight font-bold tracking-tight">
				{entries.length === 1 ? 'One spool' : `${entries.length} spools`}{begun > 0
					? `, ${begun} on the bench`
					: ''}
			</h1>
			{#if asked.now.as !== 'lines'}
				<p class="flex items-center gap-2 text-[13.5px] text-soft">
					<svg width="43" height="43" viewBox="-21.5 -21.5 43 43" aria-hidden="true" class="-my-2">
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
			<a href="/fit/new" class="ml-auto action"><Plus size={18} />New set-up</a>
		</div>
		{#if entries.length > FEW}
			<RackFilters view={asked.now} onchange={(part) => void asked.change(part)} />
		{/if}
		{#each groups as group (group.heading)}
			{#if group.heading}<h2 class="figure pt-5 pb-1 text-[18px] font-semibold">{group.heading}</h2>{/if}
			{#if asked.now.as === 'lines'}
				<SpoolLines entries={group.entries} due={data.due} />
			{:else}
				<Shelf entries={group.entries} due={data.due} onremove={remove} ondrop={(plan) => void drop(plan)} />
			{/if}
		{:else}
			<p class="py-8">
				No spool fits what you look for.
				<button type="button" class="underline" onclick={() => void asked.change({ sought: '', show: 'all' })}
					>Show all spools</button
				>
			</p>
		{/each}
	{/if}
</div>
