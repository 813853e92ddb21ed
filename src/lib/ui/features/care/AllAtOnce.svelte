<script lang="ts">
	import type { CareRow } from '$lib/inventory/care-rows';
	import type { Write } from '../../state/writing';
	import { sharedJobs } from './groups';
	import { DONE } from './words';

	/** What is due for several strands is written down for all of them at once, and undone at once. */
	let { rows, of, write }: { rows: readonly CareRow[]; of: string; write: Write } = $props();
	const jobs = $derived(sharedJobs(rows));
</script>

{#each jobs as { job, name, keptIds } (job)}
	<button
		type="button"
		class="action-quiet min-h-9"
		data-all-at-once={job}
		onclick={() =>
			void write(
				keptIds.map((keptId) => ({ keptId, event: DONE[job].event })),
				`${of}: ${DONE[job].name.toLowerCase()}, ${keptIds.length} strands.`
			)}>{name}: done for all {keptIds.length}</button
	>
{/each}
