<script lang="ts">
	import { LABEL_SIZES, labelOf } from '$lib/schema/label';
	import { asWound } from '$lib/schema/wound';
	import { strandsOf } from '$lib/ui/charts/thread/strands';
	import { labelLayout } from '$lib/ui/features/paper/label-layout';
	import SpoolLabel from '$lib/ui/features/paper/SpoolLabel.svelte';
	import Segmented from '$lib/ui/primitives/Segmented.svelte';
	import { usePreferences } from '$lib/ui/state/preferences.svelte';

	let { data } = $props();
	const preferences = usePreferences();
	type Slug = (typeof LABEL_SIZES)[number]['slug'];
	let slug = $state<Slug>('usual');
	const size = $derived(LABEL_SIZES.find((candidate) => candidate.slug === slug)!);
	const label = $derived(labelOf(data.record, preferences.units));
	const wound = $derived(asWound(data.record.form, data.record));
	const layout = $derived(label && labelLayout(label, size, data.address));
	const options = LABEL_SIZES.map(({ slug: value, widthMm, heightMm }) => ({
		value,
		label: `${widthMm} × ${heightMm} mm`
	}));
</script>

<svelte:head>
	<title>Label · {data.record.form.spool.name || 'Spool'} · Wendle</title>
	<!-- eslint-disable-next-line svelte/no-at-html-tags -->
	{@html `<style>@page{size:${size.widthMm}mm ${size.heightMm}mm;margin:0}</style>`}
</svelte:head>

<div class="mx-auto max-w-[60rem] px-4 py-6 sm:px-8 print:p-0">
	<div class="no-print">
		<h1 class="text-[26px] leading-tight font-bold tracking-tight">
			Label for {data.record.form.spool.name || 'the spool'}
		</h1>
		<p class="mt-1 max-w-[60ch]">
			Print at 100 %, without "fit to page". The code leads to this set-up from any phone that reaches this
			server.
		</p>
		<div class="mt-4 flex max-w-xl flex-wrap items-end gap-4">
			<Segmented label="Size" {options} value={slug} onchange={(value) => (slug = value)} shown />
			<button type="button" class="action" onclick={() => window.print()}>Print</button>
		</div>
	</div>
	<div class="mt-6 print:mt-0">
		{#if layout && wound}
			<SpoolLabel {layout} strands={strandsOf(wound.workout)} />
		{:else}
			<p>Nothing is known of what is on this spool.</p>
		{/if}
	</div>
</div>
