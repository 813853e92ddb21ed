<script lang="ts">
	import Due from '$lib/ui/features/knots/Due.svelte';
	import Trainer from '$lib/ui/features/knots/Trainer.svelte';

	let { data } = $props();
	const knot = $derived(data.knot);
</script>

<svelte:head><title>Practise · Knots · Wendle</title></svelte:head>

<div class="mx-auto max-w-[1440px] px-4 py-6 sm:px-8">
	<a class="text-[15px] underline" href="/knots">All knots</a>
	<h1 class="mt-1 text-[26px] leading-tight font-bold tracking-tight">
		{knot ? `Practise: ${knot.name}` : 'Practise'}
	</h1>
	{#if knot}
		{#key `${knot.slug}/${data.seed}`}<Trainer {knot} seed={data.seed} />{/key}
	{:else}
		<p class="mt-1 max-w-[64ch]">
			Wendle asks three questions about each knot. What you get right comes up again later, what you get wrong
			comes up sooner, and all of it comes up before the day you next wind.
		</p>
		<Due practice={data.practice} now={data.now} />
	{/if}
</div>
