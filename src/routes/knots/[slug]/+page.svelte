<script lang="ts">
	import { findDescribed, findKnot, KNOT_TAKES_MM, type KnotSlug } from '$lib/core';
	import { showRetrieve } from '$lib/wording/units';
	import KnotView from '$lib/ui/features/knots/KnotView.svelte';
	import { usePreferences } from '$lib/ui/state/preferences.svelte';

	let { data } = $props();
	const preferences = usePreferences();
	const knot = $derived(findKnot(data.slug));
	const described = $derived(findDescribed(data.slug));
	const head = $derived((knot ?? described)!);
	const takes = $derived(
		Object.entries(KNOT_TAKES_MM[data.slug as KnotSlug])
			.map(([from, mm]) => `${showRetrieve(mm, preferences.units)} of ${from}`)
			.join(', ')
	);
</script>

<svelte:head><title>{head.name} · Knots · Wendle</title></svelte:head>

<div class="mx-auto max-w-[1440px] px-4 py-6 sm:px-8">
	<a class="no-print text-[15px] underline" href="/knots">All knots</a>
	<h1 class="mt-1 text-[26px] leading-tight font-bold tracking-tight">{head.name}</h1>
	<p class="mt-1 max-w-[64ch]">{head.joins}</p>
	<p class="mb-4 text-[15px] text-soft">
		{#if takes}Takes about {takes}, what is trimmed included.{/if}
		{#if knot}<a class="underline" href="/knots/practise?knot={knot.slug}">Practise it</a>{/if}
	</p>
	{#if knot}
		{#key knot.slug}<KnotView {knot} wraps={data.wraps} stage={data.stage - 1} />{/key}
	{:else if described}
		<p class="max-w-[64ch] border-l-[3px] border-warn pl-3">{described.why}</p>
		<ol class="mt-5 max-w-[60ch] list-decimal space-y-3 pl-6 text-[21px] leading-snug">
			{#each described.steps as step (step)}<li>{step}</li>{/each}
		</ol>
	{/if}
</div>
