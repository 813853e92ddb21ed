<script lang="ts">
	import { goto } from '$app/navigation';
	import Plan from '$lib/ui/features/care/Plan.svelte';

	let { data } = $props();
	function change(part: Record<string, string>): void {
		const query = new URLSearchParams({
			before: data.before,
			as: data.week ? 'week' : 'evening',
			minutes: String(data.minutes),
			...part
		});
		void goto(`?${query}`, { replaceState: true, keepFocus: true, noScroll: true });
	}
</script>

<svelte:head><title>Before a day · Care · Wendle</title></svelte:head>

<div class="mx-auto max-w-[1000px] px-4 py-6 sm:px-8">
	<div class="flex flex-wrap items-baseline gap-x-6">
		<h1 class="text-[26px] leading-tight font-bold tracking-tight">What to do before a day</h1>
		<a class="no-print text-[16px] underline" href="/care">All of it</a>
	</div>
	<Plan {...data} onchange={change} />
</div>
