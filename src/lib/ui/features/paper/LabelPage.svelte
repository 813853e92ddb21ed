<script lang="ts">
	import { LABEL_SIZES, type Label } from '$lib/bench/label';
	import type { ThreadStrand } from '../../charts/thread/strands';
	import { download } from '../../charts/export/download';
	import NumberField from '../../primitives/NumberField.svelte';
	import Segmented from '../../primitives/Segmented.svelte';
	import { labelLayout } from './label-layout';
	import { placesOnSheets, sheetGrid, SHEETS, type SheetName } from './on-sheets';
	import LoopbackWarning from './LoopbackWarning.svelte';
	import SpoolLabel from './SpoolLabel.svelte';

	/** Labels to be printed true to size, each on a page of its own or many on a sheet. */
	interface Props {
		/** What it is for, in a title. */
		name: string;
		/** Where its code leads, in words. */
		leads: string;
		labels: readonly {
			readonly label: Label;
			readonly strands: readonly ThreadStrand[];
			readonly address: string;
			/** To be typed where nothing scans. */
			readonly code: string;
		}[];
		/** Nobody but this computer reaches the address that their codes carry. */
		loopback: boolean;
		/** Whether a leader hangs on what they are for. */
		leader?: boolean;
	}
	let { name, leads, labels, loopback, leader = true }: Props = $props();
	type Slug = (typeof LABEL_SIZES)[number]['slug'];
	let slug = $state<Slug>('usual');
	const size = $derived(LABEL_SIZES.find((candidate) => candidate.slug === slug)!);
	const options = LABEL_SIZES.map(({ slug: value, widthMm, heightMm }) => ({
		value,
		label: `${widthMm} × ${heightMm} mm`
	}));

	/** Each label on a page of its own, as a label printer takes them, or on a sheet. */
	let paper = $state<'each' | SheetName>('each');
	const PAPERS = [
		{ value: 'each', label: 'Label printer' },
		{ value: 'a4', label: SHEETS.a4.label },
		{ value: 'letter', label: SHEETS.letter.label }
	] as const;
	/** The first free place on a sheet that was begun, counted from 1. */
	let start = $state(1);
	const grid = $derived(paper === 'each' ? undefined : sheetGrid(paper, size));
	const first = $derived(Math.min(start, grid?.places ?? 1) - 1);

	const laidOut = $derived(
		labels.map(({ label, strands, address, code }) => ({
			layout: labelLayout(label, size, address, code),
			strands
		}))
	);
	/** The pages, each with its labels where they stand on it. */
	const pages = $derived.by(() => {
		if (paper === 'each' || !grid)
			return laidOut.map((one) => ({ ...size, cards: [{ ...one, xMm: 0, yMm: 0 }] }));
		const places = placesOnSheets(laidOut.length, grid, first);
		const sheets = Array.from({ length: (places.at(-1)?.sheet ?? -1) + 1 }, (_, sheet) =>
			laidOut.flatMap((one, i) =>
				places[i]!.sheet === sheet ? [{ ...one, ...grid.at(places[i]!.place) }] : []
			)
		);
		return sheets.map((cards) => ({ ...SHEETS[paper as SheetName], cards }));
	});
	const page = $derived(paper === 'each' ? size : SHEETS[paper]);

	async function pdf(): Promise<void> {
		const { cardsPdf } = await import('./cards-pdf');
		download(labels.length === 1 ? 'label.pdf' : 'labels.pdf', await cardsPdf(`Labels for ${name}`, pages));
	}
</script>

<svelte:head>
	<title>Label · {name} · Wendle</title>
	<!-- eslint-disable-next-line svelte/no-at-html-tags -->
	{@html `<style>@page{size:${page.widthMm}mm ${page.heightMm}mm;margin:0}</style>`}
</svelte:head>

<div class="mx-auto max-w-[60rem] px-4 py-6 sm:px-8 print:m-0 print:max-w-none print:p-0">
	<div class="no-print">
		<h1 class="text-[26px] leading-tight font-bold tracking-tight">
			{labels.length === 1 ? 'Label' : 'Labels'} for {name}
		</h1>
		<p class="mt-1 max-w-[60ch]">
			Print at 100&nbsp;%, without "fit to page". The code opens {leads} on any phone that reaches this server.
		</p>
		<div class="mt-4 flex flex-wrap items-end gap-x-6 gap-y-4">
			<div class="w-full max-w-md">
				<Segmented label="Size" {options} value={slug} onchange={(value) => (slug = value)} shown />
			</div>
			<div class="w-full max-w-md">
				<Segmented
					label="Printed on"
					options={PAPERS}
					value={paper}
					onchange={(value) => (paper = value)}
					shown
				/>
			</div>
			{#if grid}
				<div class="w-40">
					<NumberField
						label="First free place"
						value={start}
						min={1}
						max={grid.places}
						onchange={(value) => (start = value ?? 1)}
					/>
				</div>
				<p class="text-[14px] text-soft">
					{grid.columns} × {grid.rows} labels go on a sheet. Places are counted along the rows, from the top left.
				</p>
			{/if}
		</div>
		{#if loopback}<LoopbackWarning />{/if}
		<div class="mt-4 flex flex-wrap gap-3">
			<button type="button" class="action" onclick={() => window.print()}>Print</button>
			<button type="button" class="action-quiet min-h-11" onclick={() => void pdf()}>Save as PDF</button>
		</div>
	</div>
	{#each pages as { widthMm, heightMm, cards }, i (i)}
		<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
		<div
			role="region"
			aria-label="Page {i + 1} as it is printed"
			tabindex="0"
			class="break-after-page overflow-x-auto last:break-after-auto print:overflow-visible"
		>
			<div
				class="relative mt-6 print:mt-0 {grid ? 'border border-hair bg-white print:border-0' : ''}"
				style="width:{widthMm}mm;height:{heightMm}mm"
				data-page
			>
				{#each cards as { layout, strands, xMm, yMm }, j (j)}
					<div class="absolute" style="left:{xMm}mm;top:{yMm}mm">
						<SpoolLabel {layout} {strands} {leader} />
					</div>
				{/each}
			</div>
		</div>
	{/each}
</div>
