<script lang="ts">
	import { findDescribed, type KnotSlug } from '$lib/core';
	import { showTakes } from '$lib/wording/knots';
	import KnotView from '$lib/ui/features/knots/KnotView.svelte';
	import { usePreferences } from '$lib/ui/state/preferences.svelte';

	let { data } = $props();
	const preferences = usePreferences();
	const knot = $derived(data.knot);
	const described = $derived(findDescribed(data.slug));
	const head = $derived((knot ?? described)!);
	const takes = $derived(showTakes(data.slug as KnotSlug, preferences.units));
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
