<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { guessColumns, LIST_FIELDS, type Columns } from '$lib/inventory/list/columns';
	import { readList, type ListRow, type There } from '$lib/inventory/list/read-list';
	import type { ListKind } from '$lib/inventory/list/rows';
	import Segmented from '../../primitives/Segmented.svelte';
	import Select from '../../primitives/Select.svelte';
	import ListPreview from './ListPreview.svelte';
	import { broughtList } from '../../state/answers';
	import { send, troubleOf } from '../../state/api';
	import { usePreferences } from '../../state/preferences.svelte';
	import { tellChange } from '../../state/undo.svelte';
	import { Write } from '../../state/write';
	import { refreshAll } from '../../state/refresh';

	/** A list of reels or lines from a spreadsheet: its columns are matched, it is shown, and brought in when somebody says so. */
	let { there }: { there: There } = $props();
	const preferences = usePreferences();
	const KINDS = [
		{ value: 'reels', label: 'Reels' },
		{ value: 'lines', label: 'Lines on coils' }
	] as const;
	const NONE = -1;

	let kind = $state<ListKind>('reels');
	let table = $state.raw<readonly (readonly string[])[]>([]);
	/** Columns that were chosen by hand, in the place of those that were guessed. */
	let chosen = $state.raw<Columns>({});
	let doubles = $state(false);
	let trouble = $state<string>();
	let busy = $state(false);
	const write = new Write();

	const headings = $derived(table[0] ?? []);
	const columns = $derived.by(() => {
		const guessed: Columns = { ...guessColumns(kind, headings), ...chosen };
		return Object.fromEntries(Object.entries(guessed).filter(([, at]) => at !== NONE));
	});
	const rows = $derived(
		readList(kind, table, columns, {
			units: preferences.units,
			today: preferences.today.toString(),
			there
		})
	);
	const comes = (row: ListRow): boolean => row.row !== undefined && (doubles || !row.double);
	const coming = $derived(rows.filter(comes));
	const wrong = $derived(rows.filter(({ row }) => !row));
	const twice = $derived(rows.filter(({ row, double }) => row && double));
	const fields = $derived(LIST_FIELDS[kind]);
	const matched = $derived(fields.filter(({ key }) => columns[key] !== undefined));
	const options = $derived([
		{ value: NONE, label: 'no column' },
		...headings.map((heading, value) => ({ value, label: heading || `column ${value + 1}` }))
	]);
	const noun = $derived(kind === 'reels' ? ['reel', 'reels'] : ['line', 'lines']);
	const counted = (count: number): string => `${count} ${count === 1 ? noun[0] : noun[1]}`;

	async function take(file: File | undefined): Promise<void> {
		if (!file) return;
		const { default: papa } = await import('papaparse');
		const { data } = papa.parse<string[]>(await file.text(), { skipEmptyLines: 'greedy' });
		trouble =
			data.length < 2
				? 'There is no list in this file. It needs a row of headings, and rows under it.'
				: undefined;
		table = trouble === undefined ? data : [];
		chosen = {};
	}
	async function bring(): Promise<void> {
		if (busy) return;
		busy = true;
		const list = { kind, rows: coming.map(({ row }) => row) };
		const reply = await write.send('POST', '/api/lists', list, broughtList);
		busy = false;
		trouble = troubleOf(reply, 'Nothing was brought in');
		if (reply.kind !== 'ok') return;
		const brought = reply.value;
		await tellChange({
			said: `${counted(coming.length)} came in.`,
			undo: () => send('POST', '/api/lists/undo', brought),
			stays: 'What came in is still here',
			refresh: refreshAll
		});
		await goto(kind === 'reels' ? resolve('/') : resolve('/care'), { invalidateAll: true });
	}
</script>

<div class="mx-auto max-w-[1200px] px-4 pb-12 sm:px-8">
	<h1 class="pt-5 text-[26px] leading-tight font-bold tracking-tight">Bring in a list</h1>
	<p class="mt-1 max-w-[64ch]">
		A list that you keep elsewhere comes in as CSV: save it so from your spreadsheet. Nothing is written until
		you have seen it.
	</p>
	<div class="mt-4 max-w-sm">
		<Segmented
			label="What is in the list?"
			options={KINDS}
			value={kind}
			onchange={(value) => ([kind, chosen] = [value, {}])}
		/>
	</div>
	<label class="mt-4 block text-[15px]">
		<span class="block text-[13.5px] text-soft">List (a CSV file with headings in its first row)</span>
		<input
			type="file"
			accept=".csv,text/csv,text/plain"
			class="mt-1 file-button"
			onchange={({ currentTarget }) => void take(currentTarget.files?.[0])}
		/>
	</label>
	{#if trouble}<p class="mt-3 max-w-[64ch] text-[15px] text-warn" role="alert">{trouble}</p>{/if}
	{#if table.length > 0}
		<h2 class="mt-6 text-[19px] font-semibold">Which column says what</h2>
		<div class="mt-2 grid gap-x-6 gap-y-3 sm:grid-cols-3 lg:grid-cols-6">
			{#each fields as { key, label, needed } (key)}
				<Select
					label={needed ? `${label} (needed)` : label}
					{options}
					value={columns[key] ?? NONE}
					onchange={(at) => (chosen = { ...chosen, [key]: at })}
				/>
			{/each}
		</div>
		<h2 class="mt-6 text-[19px] font-semibold">What comes in</h2>
		<p class="mt-1 text-[15px]" role="status" data-summary>
			{counted(coming.length)} of {rows.length}{#if wrong.length > 0}; <span class="text-warn"
					>{wrong.length} with something to put right, left out</span
				>{/if}{#if twice.length > 0}; {twice.length} here already{doubles ? '' : ', left out'}{/if}.
		</p>
		{#if twice.length > 0}
			<label class="mt-1 flex min-h-9 items-center gap-2 text-[15px]">
				<input type="checkbox" class="size-4" bind:checked={doubles} />Bring in what is here already as well
			</label>
		{/if}
		<ListPreview {rows} {comes} fields={matched} />
		<div class="mt-5 flex flex-wrap gap-3">
			<button type="button" class="action" disabled={busy || coming.length === 0} onclick={() => void bring()}
				>Bring in {counted(coming.length)}</button
			>
			<a class="action-quiet min-h-11" href="/data">Bring nothing in</a>
		</div>
	{/if}
</div>
