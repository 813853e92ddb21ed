<script lang="ts">
	import ThreadRow from '../paper/ThreadRow.svelte';
	import type { Fact, RackEntry } from '../rack/shown';

	/** The jobs that are begun or planned, each with the way to its bench. */
	let { rack }: { rack: readonly RackEntry<Fact>[] } = $props();
	/** What is begun comes first. */
	const jobs = $derived(
		rack
			.flatMap((entry) => (entry.job ? [{ ...entry, job: entry.job }] : []))
			.toSorted((a, b) => Number(b.job.done > 0) - Number(a.job.done > 0))
	);
</script>

<div class="mx-auto max-w-[1440px] px-4 pb-12 sm:px-8">
	<h1 class="pt-5 text-[26px] leading-tight font-bold tracking-tight">
		{jobs.length === 0 ? 'Nothing is waiting at the bench' : 'Waiting at the bench'}
	</h1>
	{#if jobs.length === 0}
		<p class="mt-3 max-w-[60ch]">
			The bench walks you through winding a reel, step by step. Set up a spool first, and press
			<em>Take it to the bench</em> there.
		</p>
		<p class="mt-5 flex flex-wrap gap-3">
			<a class="action" href="/fit/new">New set-up</a>
			<a class="action-quiet min-h-11" href="/">Choose a spool on the rack</a>
		</p>
	{:else}
		<ul class="mt-4 border-t-[3px] border-ink" data-jobs>
			{#each jobs as { id, name, job, strands } (id)}
				<li class="border-b border-hair">
					<a
						class="grid items-center gap-x-6 gap-y-1 py-3 hover:bg-paper sm:grid-cols-[18rem_1fr_14rem]"
						href={job.href}
					>
						<span class="figure text-[19px] font-semibold">{name}</span>
						<span
							>{#if strands}<ThreadRow {strands} />{/if}</span
						>
						<span class="figure text-[15px] sm:text-right">
							{#if job.done === 0}
								not begun
							{:else}
								<span class="px-0.5 marked"
									>{Number.isFinite(job.total) ? `${job.done} of ${job.total} steps done` : 'begun'}</span
								>
							{/if}
						</span>
					</a>
				</li>
			{/each}
		</ul>
	{/if}
</div>
