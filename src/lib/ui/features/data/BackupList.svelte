<script lang="ts">
	import { formatNumber } from '$lib/core';
	import { send, troubleOf } from '../../state/api';
	import { notify } from '../../state/notices.svelte';
	import { refresh } from '../../state/refresh';

	/** Backups: make one, keep one elsewhere, go back to one. */
	interface Props {
		/** The newest first. */
		backups: readonly { name: string; made: string; bytes: number }[];
	}
	let { backups }: Props = $props();
	const size = (bytes: number): string =>
		bytes < 1e6 ? `${formatNumber(bytes / 1e3, 0)} kB` : `${formatNumber(bytes / 1e6, 1)} MB`;

	let busy = $state(false);
	/** The backup that is asked about before it takes the place of everything. */
	let asked = $state<string>();

	async function act(path: string, body: object | undefined, stays: string): Promise<boolean> {
		busy = true;
		const trouble = troubleOf(await send('POST', path, body), stays);
		busy = false;
		if (trouble !== undefined) void notify(trouble);
		return trouble === undefined;
	}
	async function make(): Promise<void> {
		if (!(await act('/api/backups', { of: 'everything' }, 'No backup was made'))) return;
		await refresh('wendle:data');
		void notify('Everything is backed up.');
	}
	async function restore(name: string): Promise<void> {
		if (!(await act(`/api/backups/${name}/restore`, undefined, 'Nothing was restored'))) return;
		// Everything that this window remembers is of the data before: the page begins anew.
		location.assign('/');
	}
</script>

<section class="mt-6 border-t-[3px] border-ink pt-3" aria-labelledby="backups">
	<h2 id="backups" class="text-[19px] font-semibold">Backups</h2>
	<p class="mt-1 max-w-[64ch]">
		A backup is a copy of everything, checked when it is made. Wendle keeps those of the last day, then one
		for each of 7 days, 4 weeks and 12 months. Download one now and then, and keep it on another computer: a
		disk that breaks takes its backups along.
	</p>
	<button type="button" class="mt-3 action" disabled={busy} onclick={() => void make()}
		>Make a backup now</button
	>
	{#if backups.length === 0}
		<p class="mt-4 text-soft">There is no backup yet.</p>
	{:else}
		<ul class="mt-4 border-t border-hair" data-backups>
			{#each backups as { name, made, bytes } (name)}
				<li class="border-b border-hair py-2">
					<div class="flex flex-wrap items-center gap-x-5 gap-y-1">
						<span class="figure min-w-[14rem] text-[17px] font-medium">{made}</span>
						<span class="figure text-[15px] text-soft">{size(bytes)}</span>
						<span class="ml-auto flex gap-x-5">
							<a
								class="inline-flex min-h-6 items-center underline underline-offset-4"
								href="/api/backups/{name}"
								download={name}>Download</a
							>
							<button
								type="button"
								class="min-h-6 underline underline-offset-4"
								aria-label="Restore the backup of {made}"
								disabled={busy}
								onclick={() => (asked = name)}>Restore</button
							>
						</span>
					</div>
					{#if asked === name}
						<div class="mt-2 border-l-[3px] border-warn pl-3" role="alert">
							<p class="max-w-[60ch]">
								Wendle goes back to how everything was then. It first makes a backup of how everything is now,
								so you can come back.
							</p>
							<p class="mt-2 flex flex-wrap gap-3">
								<button type="button" class="action" disabled={busy} onclick={() => void restore(name)}
									>Yes, restore it</button
								>
								<button type="button" class="action-quiet min-h-11" onclick={() => (asked = undefined)}
									>Leave everything as it is</button
								>
							</p>
						</div>
					{/if}
				</li>
			{/each}
		</ul>
	{/if}
</section>
