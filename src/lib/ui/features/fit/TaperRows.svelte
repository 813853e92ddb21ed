<script lang="ts">
	import { readTaperTable } from '$lib/core';
	import type { Made } from '$lib/setup/form';
	import { longUnit, smallUnit } from '$lib/wording/units';
	import { wordIssue } from '$lib/wording/issues';
	import Plus from '@lucide/svelte/icons/plus';
	import X from '@lucide/svelte/icons/x';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { FitState } from './fit-state.svelte';
	import { densityOptions } from './options';

	/** A maker's taper table: typed row by row, or pasted whole. */
	interface Props {
		fit: FitState;
		list: 'stack' | 'swaps';
		index: number;
		max: number;
	}
	let { fit, list, index, max }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	type Table = Extract<Made, { way: 'table' }>;
	const EMPTY: Table = { way: 'table', density: 'F', rows: [] };
	const table = $derived.by(() => {
		const made = fit.form.fill[list][index]?.made;
		return made?.way === 'table' ? made : EMPTY;
	});
	const edit = (change: (table: Table) => void): void =>
		fit.change(({ fill }) => {
			const { made } = fill[list][index]!;
			if (made.way === 'table') change(made);
		});

	const COLUMNS = ['length', 'start', 'end'] as const;
	const errorAt = (row: number, column: (typeof COLUMNS)[number]): string | undefined =>
		fit.error('fill', list, index, 'made', 'rows', row, column);
	const firstError = $derived(
		table.rows.flatMap((_, i) => COLUMNS.map((column) => errorAt(i, column))).find((error) => error)
	);
	const unitOf = (column: (typeof COLUMNS)[number]) =>
		column === 'length' ? longUnit(units) : smallUnit(units);

	const EXAMPLE = 'length (ft), start (mm), end (mm)\n51, 0.90, 0.90\n6, 0.90, 1.25';
	let pasting = $state(false);
	let pasted = $state('');
	let frontFirst = $state(false);
	let trouble = $state<string>();

	/** What was pasted stays where it is until it is understood. */
	async function take(): Promise<void> {
		const { parse } = await import('papaparse');
		const { data } = parse<string[]>(pasted.trim(), { skipEmptyLines: true });
		const long = longUnit(units) === 'yd' ? 'ft' : 'm';
		const read = readTaperTable(data, { long, small: smallUnit(units) }, frontFirst);
		if (!read.ok) {
			trouble = wordIssue(read.issues[0]!).message;
			return;
		}
		if (read.value.length > max) {
			trouble = `This table has ${read.value.length} rows: ${max} are read. Join rows that have the same diameter.`;
			return;
		}
		edit((table) => (table.rows = read.value.map((row) => ({ ...row }))));
		[pasting, pasted, trouble] = [false, '', undefined];
	}
</script>

<div class="flex items-end gap-3">
	<div class="flex-1">
		<Select
			label="Density"
			options={densityOptions}
			value={table.density}
			onchange={(density) => edit((table) => (table.density = density))}
		/>
	</div>
	<button type="button" class="action-quiet" onclick={() => (pasting = !pasting)}>
		{pasting ? 'Type it' : 'Paste a table'}
	</button>
</div>
{#if pasting}
	<label class="block text-[13px] text-soft" for="taper-{index}">
		Paste the maker's table as text or CSV: length, start and end; or from, to, start and end; or distance and
		diameter
	</label>
	<textarea
		id="taper-{index}"
		class="figure w-full border border-ink bg-paper p-2 text-[14px]"
		rows="6"
		placeholder={EXAMPLE}
		bind:value={pasted}
		onpaste={() => (trouble = undefined)}
	></textarea>
	{#if trouble}<p class="text-[13.5px] text-warn" role="alert">{trouble}</p>{/if}
	<div class="flex flex-wrap items-center justify-between gap-2">
		<label class="flex items-center gap-2 text-[14px]"
			><input type="checkbox" bind:checked={frontFirst} />front end first</label
		>
		<button type="button" class="action-quiet" disabled={pasted.trim() === ''} onclick={take}
			>Use this table</button
		>
	</div>
{:else}
	<table class="figure w-full text-[14px]">
		<caption class="sr-only">Taper, rear end first</caption>
		<thead>
			<tr class="text-left text-[12.5px] text-soft">
				<th class="font-normal">Length</th><th class="font-normal">from Ø</th><th class="font-normal">to Ø</th
				><th></th>
			</tr>
		</thead>
		<tbody>
			{#each table.rows as row, i (i)}
				<tr>
					{#each COLUMNS as column (column)}
						<td class="pr-2">
							<input
								class="w-full border-b bg-transparent py-1 {errorAt(i, column)
									? 'border-warn'
									: 'border-ink'}"
								aria-label="Row {i + 1}, {column === 'length' ? 'length' : `${column} diameter`}"
								aria-invalid={errorAt(i, column) !== undefined}
								value={row[column]}
								placeholder={unitOf(column)}
								oninput={(event) => edit((table) => (table.rows[i]![column] = event.currentTarget.value))}
								onchange={(event) => {
									const settled = fit.settled(event.currentTarget.value, unitOf(column));
									edit((table) => (table.rows[i]![column] = settled));
								}}
							/>
						</td>
					{/each}
					<td>
						<button
							type="button"
							class="grid size-6 place-items-center text-soft hover:text-ink disabled:opacity-30"
							aria-label="Remove row {i + 1}"
							disabled={table.rows.length === 1}
							onclick={() => edit((table) => table.rows.splice(i, 1))}><X size={14} /></button
						>
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
	{#if firstError}<p class="text-[13.5px] text-warn">{firstError}</p>{/if}
	{#if table.rows.length < max}
		<button
			type="button"
			class="action-quiet"
			onclick={() =>
				edit((table) => {
					const end = table.rows.at(-1)?.end ?? '';
					table.rows.push({ length: '', start: end, end });
				})}><Plus size={15} />Row</button
		>
	{/if}
{/if}
