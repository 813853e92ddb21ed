<script lang="ts">
	import CareList from '$lib/ui/features/care/CareList.svelte';
	import Rules from '$lib/ui/features/care/Rules.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Care · Wendle</title></svelte:head>

<div class="mx-auto max-w-[1440px] px-4 py-4 sm:px-8 sm:py-6">
	<div class="flex flex-wrap items-baseline gap-x-6">
		<h1 class="text-[26px] leading-tight font-bold tracking-tight">Care</h1>
		<a class="text-[16px] underline" href="/calendar.ics" download="wendle-care.ics">Calendar file</a>
		<a class="text-[16px] underline" href="/care/plan">Plan for a day</a>
		{#if data.care.filter.spool !== null || data.care.filter.thing !== null}<a
				class="text-[16px] underline"
				href="/care">All of Care</a
			>{/if}
	</div>
	<p class="mt-1 max-w-[64ch]">
		What is due and what was done, for every line and backing. To subscribe, give your calendar the address of
		the calendar file.
	</p>
	<CareList care={data.care} today={data.today} adding={data.adding} />
	<Rules rules={data.care.rules} usual={data.care.usual} version={data.care.rulesVersion} />
</div>
