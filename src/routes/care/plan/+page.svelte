<script lang="ts">
	import Plan from '$lib/ui/features/care/Plan.svelte';
	import { UrlState } from '$lib/ui/state/url-state.svelte';

	let { data } = $props();
	const asked = new UrlState(
		() => data.asked,
		({ before, week, minutes }) =>
			`?${new URLSearchParams({ before: before.toString(), as: week ? 'week' : 'evening', minutes: String(minutes) })}`
	);
</script>

<svelte:head><title>Plan for a day · Care · Wendle</title></svelte:head>

<div class="mx-auto max-w-[1000px] px-4 py-6 sm:px-8">
	<div class="flex flex-wrap items-baseline gap-x-6">
		<h1 class="text-[26px] leading-tight font-bold tracking-tight">What to do before a day</h1>
		<a class="no-print text-[16px] underline" href="/care">All of Care</a>
	</div>
	<Plan {...asked.now} today={data.today} things={data.things} onchange={(part) => void asked.change(part)} />
</div>
