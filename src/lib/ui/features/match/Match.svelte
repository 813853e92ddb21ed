<script lang="ts">
	import { byName } from '$lib/wording/by-name';
	import { goto, afterNavigate } from '$app/navigation';
	import { findMaterial, parseLength, usualBackingMm, WINDING_HANDS, type WindingHand } from '$lib/core';
	import { ownLines, ownSpools, type OwnLine, type OwnSpool } from '$lib/setup/match';
	import { newComponent, newSetup, usualGap } from '$lib/setup/presets';
	import type { ComponentForm, SpoolForm } from '$lib/setup/form';
	import { showLong, showSmall, smallUnit } from '$lib/wording/units';
	import Plus from '@lucide/svelte/icons/plus';
	import Field from '../../primitives/Field.svelte';
	import Select from '../../primitives/Select.svelte';
	import { id } from '../../state/answers';
	import { send, troubleOf } from '../../state/api';
	import { Aside } from '../../state/aside.svelte';
	import { notify } from '../../state/notices.svelte';
	import { made, rememberChange } from '../../state/undo.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import LineClassFields from '../fit/LineClassFields.svelte';
	import { materialOptions, windingOptions } from '../fit/options';
	import SharedBacking from './SharedBacking.svelte';

	/** Every spool with every line: how much backing goes under, what gap is left, and what to do next. */
	let {
		spools,
		lines: own
	}: {
		spools: readonly { id: string; form: SpoolForm }[];
		/** Lines and heads that were wound or are planned. */
		lines: readonly ComponentForm[];
	} = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);

	let material = $state('polyester-20');
	let winding = $state<WindingHand>('firm');
	// svelte-ignore state_referenced_locally
	let gap = $state(usualGap(units));
	let extra = $state<ComponentForm[]>([]);
	let adding = $state({ taper: 'WF', number: 6, density: 'F' } as const);
	let ready = $state(false);
	afterNavigate(() => (ready = true));

	/** A head belongs over a running line: it is matched straight over the backing only where somebody asks. */
	let heads = $state(false);
	const headed = $derived(own.some(({ role }) => role === 'head'));
	const lines = $derived(ownLines([...own.filter(({ role }) => heads || role !== 'head'), ...extra], units));
	const known = $derived(ownSpools(spools, units));
	const backing = $derived.by(() => {
		const found = findMaterial(material);
		return {
			diameterMm: found.ok ? found.value.diameterMm : 0.48,
			layEfficiency: WINDING_HANDS[winding].layEfficiency
		};
	});
	const gapMm = $derived.by(() => {
		const read = parseLength(gap, smallUnit(units));
		return read.ok && read.value >= 0 && read.value <= 40 ? read.value : undefined;
	});

	const aside = new Aside((onProgress) => {
		if (gapMm === undefined || known.length === 0 || lines.length === 0) return undefined;
		const plain = known.map(({ spool }) => spool);
		const matched = lines.map(({ sections, layEfficiency }) => ({ sections, layEfficiency }));
		const [under, wanted] = [backing, gapMm];
		return async () => {
			const { matchAside } = await import('$lib/workers/client');
			return matchAside(plain, matched, under, wanted, onProgress);
		};
	});

	/** Sorted by a line's column, by name, or as they stand on the rack. */
	let sort = $state<{ by: 'rack' | 'name' | number; down: boolean }>({ by: 'rack', down: false });
	const rows = $derived.by(() => {
		const { value } = aside;
		// Until the answers come each spool has its row, so that nothing moves when they do.
		const come = value?.length === known.length ? value : undefined;
		const all = known.map((spool, i) => ({ spool, cells: come?.[i] ?? [] }));
		const { by, down } = sort;
		if (by === 'rack') return all;
		const key = (row: (typeof all)[number]): number => {
			const cell = typeof by === 'number' ? row.cells[by] : undefined;
			return cell ? (cell.fits ? cell.backingMm : cell.gapMm - 1000) : -Infinity;
		};
		const sorted = all.sort((a, b) => (by === 'name' ? byName(a.spool.name, b.spool.name) : key(b) - key(a)));
		return down ? sorted.reverse() : sorted;
	});
	function sortBy(by: 'name' | number): void {
		sort =
			sort.by === by ? (sort.down ? { by: 'rack', down: false } : { by, down: true }) : { by, down: false };
	}
	const ariaSort = (by: 'name' | number) =>
		sort.by === by ? (sort.down ? 'ascending' : 'descending') : 'none';

	const usual = (line: OwnLine): number =>
		usualBackingMm('class' in line.form.made ? line.form.made.class.number : 8);

	/** Less than this share of what is usual under a line is little. */
	const LITTLE = 0.95;
	type Cell = { backingMm: number; fits: boolean };
	const isLittle = ({ backingMm }: Cell, line: OwnLine): boolean => backingMm < LITTLE * usual(line);
	/** For each line the spool with the least backing that is enough: on a larger one its coils are in vain, on a smaller one it is short. */
	const best = $derived(
		lines.map((line, j) => {
			const fitting = rows.filter(({ cells }) => cells[j]?.fits && !isLittle(cells[j], line));
			return fitting.sort((a, b) => a.cells[j]!.backingMm - b.cells[j]!.backingMm)[0]?.spool.id;
		})
	);
	/** More lines than this do not stand side by side on a phone. */
	const FEW = 3;

	/** A set-up for this pair, and on to it. */
	async function take(spool: OwnSpool, line: OwnLine): Promise<void> {
		const form = newSetup($state.snapshot(spool.form));
		form.fill.gap = gap;
		form.fill.winding = winding;
		form.fill.stack = [
			{ ...newComponent('backing', 'backing', { way: 'material', material, diameter: '' }), solve: true },
			{ ...$state.snapshot(line.form), id: 'line', joint: 'loops' }
		];
		const reply = await send('POST', '/api/setups', { form, spoolId: spool.id }, { answer: id });
		if (reply.kind === 'ok') {
			const { id: plan } = reply.value;
			rememberChange({
				said: `${spool.form.name || 'A spool'} has a new plan.`,
				...made(`/api/setups/${plan}`),
				stays: 'The plan is still there',
				refresh: () => goto('/', { invalidateAll: true })
			});
			await goto(`/fit/${plan}`);
		} else void notify(troubleOf(reply, 'Nothing was started')!);
	}

	function add(): void {
		const made = { way: 'class', class: { ...adding } } as const;
		extra.push({ ...newComponent(`extra-${extra.length}`, 'line', made), note: '' });
	}
</script>

{#snippet mark(what: 'enough' | 'little' | 'none')}<span
		class="mr-1.5 inline-block size-2.5 translate-y-px border-[1.5px] {what === 'enough'
			? 'rounded-full border-ink bg-ink'
			: what === 'little'
				? 'rounded-full border-ink'
				: 'border-warn bg-warn'}"
		aria-hidden="true"
	></span>{/snippet}

<div class="mx-auto max-w-[1440px] px-4 pt-4 pb-12 sm:px-8" data-ready={ready || undefined}>
	<h1 class="text-[26px] leading-tight font-bold tracking-tight">
		{known.length}
		{known.length === 1 ? 'spool' : 'spools'}, {lines.length}
		{lines.length === 1 ? 'line' : 'lines'}
	</h1>
	<div class="mt-3 grid max-w-3xl grid-cols-2 gap-x-6 gap-y-3 sm:grid-cols-[1.4fr_1fr_0.8fr]">
		<Select
			label="Over this backing"
			options={materialOptions}
			value={material}
			onchange={(v) => (material = v)}
		/>
		<Select label="Wound" options={windingOptions} value={winding} onchange={(v) => (winding = v)} />
		<Field
			label="Gap to leave"
			value={gap}
			aside=""
			error={gapMm === undefined ? 'Needs a length up to 40 mm.' : undefined}
			oninput={(value) => (gap = value)}
		/>
	</div>

	{#if headed}
		<label class="mt-3 flex min-h-8 cursor-pointer items-center gap-2 text-[15px]">
			<input type="checkbox" bind:checked={heads} class="size-4 accent-current" />
			Compare heads too, straight over the backing
		</label>
	{/if}

	{#if known.length === 0}
		<p class="mt-8 max-w-prose text-soft">
			Wendle doesn't know any of your spools well enough yet. <a class="underline" href="/fit/new"
				>Describe a spool</a
			> and Wendle compares it with every line you have.
		</p>
	{:else}
		<p class="mt-3 text-[13.5px] text-soft" role="status">
			Each cell says how much backing goes under that line, and the gap where it isn't the one you want. Press
			a cell to make a set-up, or a column's name to sort by it.
			{#if aside.running && aside.progress > 0}<span class="figure"
					>{aside.progress} of {known.length} spools</span
				>{/if}
		</p>
		<ul
			class="figure mt-2 flex flex-wrap gap-x-5 gap-y-1 text-[13.5px] text-soft"
			aria-label="What the marks mean"
		>
			<li>{@render mark('enough')} enough backing</li>
			<li>{@render mark('little')} less than is usual</li>
			<li>{@render mark('none')} too big</li>
			<li><span class="px-0.5 marked text-ink">54 yd</span> the spool that suits this line best</li>
		</ul>
		{#if lines.length > FEW}
			<p class="mt-1 text-[13.5px] text-soft sm:hidden">Slide the table sideways to see every line.</p>
		{/if}
		<div class="mt-2 w-fit max-w-full overflow-x-auto border-y-2 border-ink">
			<table class="figure text-[14.5px]" data-matrix>
				<thead>
					<tr class="border-b border-ink">
						<th class="sticky left-0 z-10 bg-ground py-1 pr-4 text-left" aria-sort={ariaSort('name')}>
							<button type="button" class="font-semibold" onclick={() => sortBy('name')}>Spool</button>
						</th>
						{#each lines as line, j (line.key)}
							<th class="px-3 py-1 text-right align-bottom" aria-sort={ariaSort(j)}>
								<button
									type="button"
									class="font-semibold {sort.by === j ? 'px-0.5 marked' : ''}"
									title={line.label}
									onclick={() => sortBy(j)}>{line.short}</button
								>
							</th>
						{/each}
					</tr>
				</thead>
				<tbody>
					{#each rows as { spool, cells } (spool.id)}
						<tr class="border-b border-hair" data-row={spool.name}>
							<th class="sticky left-0 z-10 bg-ground py-1 pr-4 text-left font-medium whitespace-nowrap"
								>{spool.name}</th
							>
							{#each lines as line, j (line.key)}
								{@const cell = cells[j]}
								<td class="p-0">
									{#if cell}
										<button
											type="button"
											class="block h-11 w-full min-w-22 px-3 text-right leading-tight whitespace-nowrap hover:bg-paper"
											aria-label="{line.label} on {spool.name}: {cell.fits
												? `${showLong(cell.backingMm, units)} of backing, ${isLittle(cell, line) ? 'less than is usual' : 'enough'}${best[j] === spool.id ? ', suits it best' : ''}`
												: `too big, gap ${showSmall(cell.gapMm, units)}`}. Make a set-up"
											onclick={() => take(spool, line)}
										>
											{#if cell.fits}
												{@render mark(isLittle(cell, line) ? 'little' : 'enough')}<span
													class="{isLittle(cell, line) ? 'text-soft' : 'font-semibold'} {best[j] === spool.id
														? 'px-0.5 marked'
														: ''}"
													data-best={best[j] === spool.id || undefined}
													>{showLong(cell.backingMm, units)}</span
												>
											{:else}
												{@render mark('none')}<span class="text-warn">too big</span>
												<span class="block text-[12px] text-soft">gap {showSmall(cell.gapMm, units)}</span>
											{/if}
										</button>
									{:else}
										<span class="block h-11 min-w-22 px-3 py-2.5 text-right text-soft">–</span>
									{/if}
								</td>
							{/each}
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
		<div class="mt-3 flex max-w-lg flex-wrap items-end gap-3">
			<div class="min-w-72 flex-1">
				<LineClassFields value={adding} onchange={(value) => (adding = value as typeof adding)} />
			</div>
			<button type="button" class="action-quiet" onclick={add}><Plus size={15} />Compare this line too</button
			>
		</div>
		<SharedBacking spools={known} {lines} {backing} />
	{/if}
</div>
