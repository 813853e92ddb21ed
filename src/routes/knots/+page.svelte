<script lang="ts">
	import { DESCRIBED, KNOTS } from '$lib/core';
	import Chooser from '$lib/ui/features/knots/Chooser.svelte';
	import KnotPicture from '$lib/ui/features/knots/KnotPicture.svelte';
	import WhenSeen from '$lib/ui/primitives/WhenSeen.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Knots · Wendle</title></svelte:head>

<div class="mx-auto max-w-[1440px] px-4 py-6 sm:px-8">
	<div class="flex flex-wrap items-baseline gap-x-6">
		<h1 class="text-[26px] leading-tight font-bold tracking-tight">Knots</h1>
		<a class="text-[16px] underline" href="/knots/practise">Practise them</a>
	</div>
	<p class="mt-1 mb-5 max-w-[64ch]">Every over and under in these drawings is exact.</p>
	<Chooser situation={data.situation} />
	<h2 class="mt-10 text-[19px] font-semibold">All knots, from the arbor outward</h2>
	<ul class="mt-3 grid gap-x-8 gap-y-6 sm:grid-cols-2 xl:grid-cols-4" data-gallery>
		{#each KNOTS as knot (knot.slug)}
			<li>
				<a href="/knots/{knot.slug}" class="group block border-t-2 border-ink pt-2">
					<span class="block h-36 bg-paper p-2"><WhenSeen><KnotPicture {knot} /></WhenSeen></span>
					<span class="figure mt-2 block text-[18px] leading-tight font-semibold group-hover:underline"
						>{knot.name}</span
					>
					<span class="block text-[15px] text-soft">{knot.joins}</span>
				</a>
			</li>
		{/each}
		{#each DESCRIBED as knot (knot.slug)}
			<li>
				<a href="/knots/{knot.slug}" class="group block border-t-2 border-ink pt-2">
					<span class="figure block text-[18px] leading-tight font-semibold group-hover:underline"
						>{knot.name}, in words</span
					>
					<span class="block text-[15px] text-soft">{knot.joins}</span>
				</a>
			</li>
		{/each}
	</ul>
</div>
