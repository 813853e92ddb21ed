<script lang="ts">
	import type { ArchivePreview } from '$lib/inventory/archive';

	/** What bringing an archive in would do, for each kind of thing. */
	let { preview }: { preview: ArchivePreview } = $props();

	const NAMES: Readonly<Record<string, string>> = {
		spools: 'Spools',
		setups: 'Set-ups',
		windings: 'Windings',
		runs: 'Jobs at the bench',
		'run-events': 'Entries of jobs at the bench',
		strands: 'Lines that you brought in',
		'care-events': 'Entries in Care',
		'care-rules': 'Rules of Care',
		'knot-cards': 'Knots that you practise',
		'knot-sessions': 'Practice sessions',
		season: 'The day you next wind',
		'left-out-windings': 'Windings left out of learning',
		'former-versions': 'Former versions'
	};
	const rows = $derived([
		...preview.changes.map((change) => ({ ...change, name: NAMES[change.file] ?? change.file })),
		{ ...preview.photos, file: 'photos', name: 'Photos', newer: 0, conflicting: 0, names: [] }
	]);
	const some = $derived(
		rows.filter(({ fresh, newer, conflicting, same }) => fresh + newer + conflicting + same > 0)
	);
	const differing = $derived(preview.changes.flatMap(({ names }) => names));
	const shown = (count: number): string => (count === 0 ? '–' : String(count));
</script>

<div class="mt-4 overflow-x-auto">
	<table class="figure w-full max-w-[44rem] text-left text-[15px]" data-changes>
		<thead class="text-[13.5px] text-soft">
			<tr class="border-b border-ink align-bottom">
				<th class="py-1 pr-4 font-normal">In the archive</th>
				<th class="px-3 py-1 text-right font-normal">new here</th>
				<th class="px-3 py-1 text-right font-normal">newer than here</th>
				<th class="px-3 py-1 text-right font-normal">both differ</th>
				<th class="py-1 pl-3 text-right font-normal">the same</th>
			</tr>
		</thead>
		<tbody>
			{#each some as { file, name, fresh, newer, conflicting, same } (file)}
				<tr class="border-b border-hair" data-file={file}>
					<th class="py-1 pr-4 font-semibold" scope="row">{name}</th>
					<td class="px-3 text-right">{shown(fresh)}</td>
					<td class="px-3 text-right">{shown(newer)}</td>
					<td class="px-3 text-right">{shown(conflicting)}</td>
					<td class="pl-3 text-right">{shown(same)}</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>
{#if differing.length > 0}
	<p class="mt-2 text-[15px]">Spools that differ: {differing.join(', ')}.</p>
{/if}
