<script lang="ts">
	import type { Sheet } from '$lib/bench/sheet';
	import type { ThreadStrand } from '../../charts/thread/strands';
	import ThreadRow from './ThreadRow.svelte';

	/** The job on one page. */
	let { sheet, strands }: { sheet: Sheet; strands: readonly ThreadStrand[] } = $props();
	const HEADS = ['Goes on', 'length', 'turns', "depth when it's on"];
	/** Between the margins of the shorter of A4 and US Letter, mm: one page of either. */
	const ROOM_MM = 279 - 2 * 14;
	const over = (text: string, perLine: number): number => Math.ceil(text.length / perLine);
	const sum = (all: readonly number[]): number => all.reduce((total, one) => total + one, 0);
	/** About how high it is at full size, mm, by the lines that each part takes: a longer job is set smaller. */
	const heightMm = $derived(
		56 +
			4.9 * sum(sheet.facts.map(([, value]) => over(value, 95))) +
			5.3 * sheet.rows.length +
			(4.2 * sum(sheet.tools.map((name) => over(name, 34)))) / 3 +
			sum(sheet.steps.map(({ title, right }) => 1.2 + 3.9 * Math.max(over(right, 66), over(title, 44)))) +
			3.7 * sum(sheet.cautions.map((caution) => over(caution, 120)))
	);
	const scale = $derived(Math.min(1, ROOM_MM / heightMm));
	const WIDTH_MM = 182;
	const LEADING = new Set(['Stop at', 'Gap to leave']);
</script>

<article
	class="mx-auto bg-paper text-[3.2mm] leading-snug text-ink"
	style="zoom:{scale};width:{WIDTH_MM / scale}mm"
	data-sheet
>
	<h1 class="figure border-b-2 border-ink pb-1 text-[7mm] leading-none font-bold">{sheet.title}</h1>
	<div class="mt-[2mm]"><ThreadRow {strands} /></div>
	<dl class="mt-[2mm] grid grid-cols-[28mm_1fr] gap-y-[0.6mm]">
		{#each sheet.facts as [label, value] (label)}
			<dt class="text-soft">{label}</dt>
			<dd class="figure {LEADING.has(label) ? 'text-[4.4mm] leading-none font-bold' : ''}">{value}</dd>
		{/each}
	</dl>
	<table class="figure mt-[3mm] w-full border-collapse text-left">
		<thead>
			<tr
				>{#each HEADS as head (head)}<th class="pb-[0.5mm] text-[2.95mm] font-normal text-soft">{head}</th
					>{/each}</tr
			>
		</thead>
		<tbody>
			{#each sheet.rows as row, i (i)}
				<tr class="border-t border-hair"
					>{#each row as cell, j (j)}<td class="py-[0.6mm] {j === 3 ? 'font-bold' : ''}">{cell}</td
						>{/each}</tr
				>
			{/each}
		</tbody>
	</table>
	<h2 class="figure mt-[3mm] font-bold">Laid out</h2>
	<ul class="mt-[1mm] columns-3 gap-[4mm] text-[2.95mm]">
		{#each sheet.tools as name, i (i)}
			<li class="flex items-baseline gap-[1.5mm]"><span class="box"></span>{name}</li>
		{/each}
	</ul>
	<h2 class="figure mt-[3mm] font-bold">Done</h2>
	<ol class="mt-[1mm]">
		{#each sheet.steps as { title, right }, i (i)}
			<li class="grid grid-cols-[4mm_74mm_1fr] items-baseline border-b border-hair py-[0.5mm]">
				<span class="box"></span><span class="font-bold">{title}</span><span class="text-[2.95mm]"
					>{right}</span
				>
			</li>
		{/each}
	</ol>
	<ul class="mt-[2mm] text-[2.95mm]">
		{#each sheet.cautions as caution (caution)}<li>! {caution}</li>{/each}
	</ul>
	<dl class="mt-[9mm] flex gap-[4mm] text-[2.95mm]">
		{#each sheet.blanks as name (name)}
			<div class="flex-1 border-t border-ink pt-[0.5mm]"><dt>{name}</dt></div>
		{/each}
	</dl>
</article>

<style>
	.box {
		display: inline-block;
		flex: none;
		width: 2.6mm;
		height: 2.6mm;
		border: 0.25mm solid var(--ink);
	}
</style>
