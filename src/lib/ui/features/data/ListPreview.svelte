<script lang="ts">
	import { LIST_FIELDS } from '$lib/inventory/list/columns';
	import type { ListRow } from '$lib/inventory/list/read-list';
	import type { ListKind } from '$lib/inventory/list/rows';

	/** The rows of a list as they were read, and under each what has to be put right before it can come in. */
	interface Props {
		rows: readonly ListRow[];
		/** The fields that a column of the list gives. */
		fields: readonly (typeof LIST_FIELDS)[ListKind][number][];
		/** Whether a row comes in as it is. */
		comes: (row: ListRow) => boolean;
	}
	let { rows, fields, comes }: Props = $props();
	/** Rows that are shown before somebody asks for all. */
	const FEW = 50;
	let all = $state(false);
	/** What is missing may be in no column. */
	const nameOf = (field: string): string =>
		Object.values(LIST_FIELDS)
			.flat()
			.find(({ key }) => key === field)?.label ?? field;
</script>

<div class="mt-2 overflow-x-auto" role="region" aria-label="The list" tabindex="-1">
	<table class="w-full min-w-[32rem] border-collapse text-left text-[15px]">
		<thead>
			<tr class="border-b-[2px] border-ink text-[13px] text-soft">
				<th class="w-12 py-1 pr-3 font-normal">Row</th>
				{#each fields as { key, label } (key)}<th class="pr-4 font-normal">{label}</th>{/each}
			</tr>
		</thead>
		{#each all ? rows : rows.slice(0, FEW) as row (row.number)}
			<tbody class="border-b border-hair align-baseline" data-row={row.number}>
				<tr class={comes(row) ? '' : 'text-soft'}>
					<th scope="row" class="figure py-1.5 pr-3 font-normal">{row.number}</th>
					{#each fields as { key } (key)}
						<td
							class="pr-4 {row.issues.some(({ field }) => field === key)
								? 'font-semibold text-warn underline decoration-wavy'
								: ''}">{row.cells[key] ?? ''}</td
						>
					{/each}
				</tr>
				{#if row.issues.length > 0 || (row.row && row.double)}
					<tr>
						<td></td>
						<td colspan={fields.length} class="pb-1.5 text-[14px]">
							<!-- On a narrow screen the table is wider than what is seen of it. -->
							<div class="sticky left-0 w-fit max-w-[calc(100vw-5rem)]">
								{#each row.issues as { field, message } (field + message)}
									<p class="text-warn">{nameOf(field)}: {message}</p>
								{/each}
								{#if row.row && row.double}<p class="text-soft">Here already.</p>{/if}
							</div>
						</td>
					</tr>
				{/if}
			</tbody>
		{/each}
	</table>
</div>
{#if rows.length > FEW && !all}
	<button type="button" class="min-h-9 text-[15px] underline" onclick={() => (all = true)}
		>Show all {rows.length} rows</button
	>
{/if}
