<script lang="ts">
	import { download } from '../../charts/export/download';
	import type { CardLayout } from './card-layout';
	import LoopbackWarning from './LoopbackWarning.svelte';
	import PaperCard from './PaperCard.svelte';

	/** One piece of paper to be printed true to size, or saved as a PDF. */
	interface Props {
		title: string;
		/** What it is: "Ticket". */
		name: string;
		/** What it is for. */
		says: string;
		/** Where its code leads, in words. */
		leads: string;
		layout: CardLayout;
		/** What its file is called. */
		file: string;
		/** Nobody but this computer reaches the address that its code carries. */
		loopback: boolean;
		back: { readonly href: string; readonly label: string };
	}
	let { title, name, says, leads, layout, file, loopback, back }: Props = $props();

	async function pdf(): Promise<void> {
		const { cardsPdf, pageEach } = await import('./cards-pdf');
		download(file, await cardsPdf(title, pageEach([layout])));
	}
</script>

<svelte:head>
	<title>{title} · Wendle</title>
	<!-- eslint-disable-next-line svelte/no-at-html-tags -->
	{@html `<style>@page{size:${layout.widthMm}mm ${layout.heightMm}mm;margin:0}</style>`}
</svelte:head>

<div class="mx-auto max-w-[60rem] px-4 py-6 sm:px-8 print:m-0 print:max-w-none print:p-0">
	<div class="no-print">
		<h1 class="text-[26px] leading-tight font-bold tracking-tight">{title}</h1>
		<p class="mt-1 max-w-[60ch]">
			{says} Print it at 100&nbsp;%, without "fit to page", {layout.widthMm} × {layout.heightMm} mm. Its code opens
			{leads}.
		</p>
		{#if loopback}<LoopbackWarning />{/if}
		<div class="mt-4 flex flex-wrap gap-3">
			<button type="button" class="action" onclick={() => window.print()}>Print</button>
			<button type="button" class="action-quiet min-h-11" onclick={() => void pdf()}>Save as PDF</button>
			<a class="action-quiet min-h-11" href={back.href}>{back.label}</a>
		</div>
	</div>
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<div
		class="mt-6 overflow-x-auto print:mt-0 print:overflow-visible"
		role="region"
		aria-label="{name} as it is printed"
		tabindex="0"
	>
		<PaperCard {layout} {name} {leads} />
	</div>
</div>
