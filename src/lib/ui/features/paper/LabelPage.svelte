<script lang="ts">
	import { LABEL_SIZES, type Label } from '$lib/bench/label';
	import type { ThreadStrand } from '../../charts/thread/strands';
	import Segmented from '../../primitives/Segmented.svelte';
	import { labelLayout } from './label-layout';
	import SpoolLabel from './SpoolLabel.svelte';

	/** Labels to be printed true to size, each on a page of its own. */
	interface Props {
		/** What it is for, in a title. */
		name: string;
		/** Where its code leads, in words. */
		leads: string;
		labels: readonly {
			readonly label: Label;
			readonly strands: readonly ThreadStrand[];
			readonly address: string;
		}[];
		/** Whether a leader hangs on what they are for. */
		leader?: boolean;
	}
	let { name, leads, labels, leader = true }: Props = $props();
	type Slug = (typeof LABEL_SIZES)[number]['slug'];
	let slug = $state<Slug>('usual');
	const size = $derived(LABEL_SIZES.find((candidate) => candidate.slug === slug)!);
	const options = LABEL_SIZES.map(({ slug: value, widthMm, heightMm }) => ({
		value,
		label: `${widthMm} × ${heightMm} mm`
	}));
</script>

<svelte:head>
	<title>Label · {name} · Wendle</title>
	<!-- eslint-disable-next-line svelte/no-at-html-tags -->
	{@html `<style>@page{size:${size.widthMm}mm ${size.heightMm}mm;margin:0}</style>`}
</svelte:head>

<div class="mx-auto max-w-[60rem] px-4 py-6 sm:px-8 print:p-0">
	<div class="no-print">
		<h1 class="text-[26px] leading-tight font-bold tracking-tight">
			{labels.length === 1 ? 'Label' : 'Labels'} for {name}
		</h1>
		<p class="mt-1 max-w-[60ch]">
			Print at 100 %, without "fit to page". The code opens {leads} on any phone that reaches this server.
		</p>
		<div class="mt-4 flex max-w-xl flex-wrap items-end gap-4">
			<Segmented label="Size" {options} value={slug} onchange={(value) => (slug = value)} shown />
			<button type="button" class="action" onclick={() => window.print()}>Print</button>
		</div>
	</div>
	{#each labels as { label, strands, address }, i (i)}
		<div class="mt-6 break-after-page last:break-after-auto print:mt-0">
			<SpoolLabel layout={labelLayout(label, size, address)} {strands} {leader} />
		</div>
	{/each}
</div>
