<script lang="ts">
	import { pastRun } from '$lib/schema/past';
	import PastRuns from '$lib/ui/features/paper/PastRuns.svelte';
	import { usePreferences } from '$lib/ui/state/preferences.svelte';

	let { data } = $props();
	const preferences = usePreferences();
	const runs = $derived(data.records.map((record) => pastRun(record, preferences.units)));
</script>

<svelte:head><title>Wound before · {data.name || 'Set-up'} · Wendle</title></svelte:head>

<div class="mx-auto max-w-[1440px] px-4 py-6 sm:px-8">
	<a class="no-print action-quiet" href="/bench/{data.id}">Back to the bench</a>
	<h1 class="mt-4 text-[26px] leading-tight font-bold tracking-tight">
		{data.name || 'This spool'}, as it was wound
	</h1>
	{#if runs.length > 0}
		<PastRuns {runs} />
	{:else}
		<p class="mt-3">
			Nothing wound yet. When the first winding is written down, it stands here against its plan.
		</p>
	{/if}
</div>
