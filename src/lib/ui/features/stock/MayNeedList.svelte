<script lang="ts">
	import type { MayNeed } from '$lib/stock/stock';
	import { showDay } from '$lib/wording/dates';
	import { usePreferences } from '../../state/preferences.svelte';

	/** What is checked in the next month, and may have to be replaced then. */
	let { mayNeed }: { mayNeed: readonly MayNeed[] } = $props();
	const preferences = usePreferences();
</script>

<section class="pt-8" aria-labelledby="may-need">
	<h2 id="may-need" class="border-b-[2px] border-ink pb-1 text-[19px] font-semibold">
		Checks in the next month
	</h2>
	<p class="mt-1 max-w-[64ch] text-[15px] text-soft">
		A check may end with something new on the reel. This is what it would be.
	</p>
	<ul class="text-[15px]">
		{#each mayNeed as { id, label, job, where, due } (`${id} ${job}`)}
			<li class="flex flex-wrap items-baseline gap-x-3 border-b border-hair py-1.5">
				<a
					class="figure font-semibold underline underline-offset-4"
					href="/care?thing={encodeURIComponent(id)}">{label}</a
				>
				<span>{where}</span>
				<span class="text-soft"
					>{job.toLowerCase()}{due ? ` by ${showDay(due, preferences.locale)}` : ', overdue'}</span
				>
			</li>
		{/each}
	</ul>
</section>
