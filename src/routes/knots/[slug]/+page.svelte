<script lang="ts">
	import { findKnot } from '$lib/core';
	import KnotView from '$lib/ui/features/knots/KnotView.svelte';

	let { data } = $props();
	const knot = $derived(findKnot(data.slug)!);
</script>

<svelte:head><title>{knot.name} · Knots · Wendle</title></svelte:head>

<div class="mx-auto max-w-[1440px] px-4 py-6 sm:px-8">
	<a class="no-print text-[15px] underline" href="/knots">All knots</a>
	<h1 class="mt-1 text-[26px] leading-tight font-bold tracking-tight">{knot.name}</h1>
	<p class="mt-1 mb-4 max-w-[64ch]">{knot.joins}</p>
	{#key knot.slug}<KnotView {knot} wraps={data.wraps} />{/key}
</div>
