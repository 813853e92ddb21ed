<script lang="ts">
	import { expectedSeconds } from '$lib/core';
	import { firstFillOf } from '$lib/bench/reverse';
	import { jobText, jobTitle, workOf } from '$lib/bench/work';
	import { jobOf } from '$lib/bench/job';
	import { sheetOf } from '$lib/bench/sheet';
	import { workOut } from '$lib/setup/evaluate-form';
	import { download } from '$lib/ui/charts/export/download';
	import { strandsOf } from '$lib/ui/charts/thread/strands';
	import JobSheet from '$lib/ui/features/paper/JobSheet.svelte';
	import { usePreferences } from '$lib/ui/state/preferences.svelte';

	let { data } = $props();
	const preferences = usePreferences();
	const worked = $derived(workOut(data.setup.form, preferences.units, data.learnt));
	const sheet = $derived.by(() => {
		if (!worked.ok) return undefined;
		const job = jobOf(data.setup.form, worked.value, preferences.schools);
		const tempo = new Map(data.tempo);
		const { doing } = data;
		const first = firstFillOf(data.setup.form, worked.value, doing, preferences.units, preferences.schools);
		const work = workOf(job, doing, first?.job);
		const seconds = work.steps.reduce((sum, step) => sum + expectedSeconds(step, tempo), 0);
		return sheetOf(data.setup.form, job, preferences.units, work, seconds, jobTitle(doing));
	});

	async function pdf(): Promise<void> {
		if (!sheet) return;
		const { paperOf, sheetPdf } = await import('$lib/ui/features/paper/sheet-pdf');
		download(
			`job-sheet-${sheet.title.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.pdf`,
			await sheetPdf(sheet, paperOf(preferences.locale))
		);
	}
</script>

<svelte:head>
	<title>Job sheet · {data.setup.form.spool.name || 'Set-up'} · Wendle</title>
	<!-- eslint-disable-next-line svelte/no-at-html-tags -->
	{@html '<style>@page{margin:14mm}</style>'}
</svelte:head>

<div class="overflow-x-auto px-4 py-6 print:overflow-visible print:p-0">
	<div class="no-print mx-auto mb-5 flex max-w-[182mm] gap-3">
		<a class="action-quiet" href="/bench/{data.setup.id}?job={jobText(data.doing)}">Back to the bench</a>
		{#if sheet}
			<button type="button" class="action" onclick={() => window.print()}>Print</button>
			<button type="button" class="action-quiet" onclick={pdf}>Save as PDF</button>
		{/if}
	</div>
	{#if sheet && worked.ok}
		<JobSheet {sheet} strands={strandsOf(worked.value)} />
	{:else}
		<p class="mx-auto max-w-[60ch]">
			This set-up isn't finished. Say which spool it is and what goes on it, then come back.
		</p>
	{/if}
</div>
