<script lang="ts">
	import type { ArchiveMode } from '$lib/inventory/archive';
	import Segmented from '../../primitives/Segmented.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import { made, tellChange } from '../../state/undo.svelte';
	import ArchiveChanges from './ArchiveChanges.svelte';
	import { Incoming } from './incoming.svelte';
	import { refreshAll } from '../../state/refresh';

	/** Everything out as one file, and in again here or on another server. */
	const incoming = new Incoming();
	const preferences = usePreferences();
	const MODES = [
		{ value: 'add', label: 'Keep what is here' },
		{ value: 'replace', label: "Take the archive's" }
	] as const;
	const TABLES = [
		['spools', 'Spools'],
		['strands', 'Lines and backings'],
		['windings', 'Windings'],
		['readings', 'Readings'],
		['care-events', 'Entries in Care'],
		['orders', 'Orders'],
		['stock', 'Stock'],
		['stock-events', 'Cuts and readings of the stock']
	] as const;
	const FILES = [
		['csv', 'CSV'],
		['xlsx', 'spreadsheet']
	] as const;
	let mode = $state<ArchiveMode>('add');
	let busy = $state(false);
	const conflicts = $derived(
		incoming.preview?.changes.reduce((sum, { conflicting }) => sum + conflicting, 0) ?? 0
	);
	const comes = $derived(
		incoming.preview !== undefined &&
			(incoming.preview.photos.fresh > 0 ||
				incoming.preview.changes.some(({ fresh, newer }) => fresh + newer > 0) ||
				(mode === 'replace' && conflicts > 0))
	);

	async function bringIn(): Promise<void> {
		busy = true;
		const id = await incoming.bringIn(mode);
		busy = false;
		if (id === undefined) return;
		await refreshAll();
		void tellChange({
			said: 'The archive is brought in.',
			...made(`/api/archive/imports/${id}`),
			stays: 'What came with the archive is still here',
			refresh: refreshAll
		});
	}
</script>

<section class="mt-8 border-t-[3px] border-ink pt-3" aria-labelledby="archive">
	<h2 id="archive" class="text-[19px] font-semibold">Take everything with you</h2>
	<p class="mt-1 max-w-[64ch]">
		An archive is one zip file with everything in it as plain text, one file for each kind of thing, and your
		photos. You can read it without Wendle, and bring it into another Wendle.
	</p>
	<p class="mt-3"><a class="action" href="/api/archive" download>Download everything</a></p>

	<h3 class="mt-6 text-[17px] font-semibold">Tables for a spreadsheet</h3>
	<p class="mt-1 max-w-[64ch]">Each in your units, which stand in the columns' names.</p>
	<ul class="mt-1 grid max-w-3xl gap-x-8 sm:grid-cols-2">
		{#each TABLES as [table, name] (table)}
			<li class="flex items-center gap-x-4 border-b border-hair">
				<span class="flex-1 text-[15px]">{name}</span>
				{#each FILES as [as, kind] (as)}
					<a
						class="inline-flex min-h-10 items-center underline underline-offset-4"
						href="/api/tables/{table}?units={preferences.units}&as={as}"
						aria-label="{name} as {kind}"
						download>{kind}</a
					>
				{/each}
			</li>
		{/each}
	</ul>

	<h3 class="mt-6 text-[17px] font-semibold">Bring an archive in</h3>
	<p class="mt-1 max-w-[64ch]">Wendle first shows what would change. Nothing is written until you say so.</p>
	<label class="mt-2 block text-[15px]">
		<span class="block text-[13.5px] text-soft">Archive (a zip file from "Download everything")</span>
		<input
			type="file"
			accept=".zip,application/zip"
			class="mt-1 file-button"
			onchange={({ currentTarget }) => {
				const file = currentTarget.files?.[0];
				if (file) void incoming.take(file);
			}}
		/>
	</label>
	{#if incoming.sent !== undefined}
		<p class="mt-2 flex flex-wrap items-center gap-4" role="status">
			<progress class="w-60" value={incoming.sent} aria-label="Reading the archive"></progress>
			<button type="button" class="action-quiet min-h-11" onclick={() => incoming.cancel()}>Cancel</button>
		</p>
	{/if}
	{#if incoming.trouble}
		<p class="mt-2 max-w-[64ch] border-l-[3px] border-warn pl-3" role="alert">{incoming.trouble}</p>
	{/if}
	{#if incoming.preview}
		<ArchiveChanges preview={incoming.preview} />
		{#if conflicts > 0}
			<div class="mt-4 max-w-80">
				<Segmented
					label="Where both differ"
					shown
					options={MODES}
					value={mode}
					onchange={(chosen) => (mode = chosen)}
				/>
			</div>
		{/if}
		<p class="mt-4 flex flex-wrap items-center gap-3">
			{#if comes}
				<button type="button" class="action" disabled={busy} onclick={() => void bringIn()}
					>Bring it in</button
				>
			{:else}
				<span
					>{conflicts > 0
						? 'Nothing comes in while you keep what is here.'
						: 'Everything in this archive is here already.'}</span
				>
			{/if}
			<button type="button" class="action-quiet min-h-11" onclick={() => incoming.cancel()}>Leave it</button>
		</p>
	{/if}
</section>
