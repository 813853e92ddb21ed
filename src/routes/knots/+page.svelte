<script lang="ts">
	import { KNOTS } from '$lib/core';
	import KnotDiagram from '$lib/ui/charts/knot/KnotDiagram.svelte';
	import { FRONT } from '$lib/ui/charts/knot/layout';
</script>

<svelte:head><title>Knots · Wendle</title></svelte:head>

<div class="mx-auto max-w-[1440px] px-4 py-6 sm:px-8">
	<h1 class="text-[26px] leading-tight font-bold tracking-tight">Knots</h1>
	<p class="mt-1 max-w-[64ch]">
		Each is drawn from its shape in space, so that what looks over is over. From the arbor outward.
	</p>
	<ul class="mt-5 grid gap-x-8 gap-y-6 sm:grid-cols-2 xl:grid-cols-3">
		{#each KNOTS as knot (knot.slug)}
			<li>
				<a href="/knots/{knot.slug}" class="group block border-t-2 border-ink pt-2">
					<span class="block h-40 bg-paper p-2">
						<KnotDiagram
							strands={knot.stages.at(-1)!.strands(knot.wraps.usual)}
							view={FRONT}
							label="{knot.name}, finished"
						/>
					</span>
					<span class="figure mt-2 block text-[19px] leading-tight font-semibold group-hover:underline"
						>{knot.name}</span
					>
					<span class="block text-[15px] text-soft">{knot.joins}</span>
				</a>
			</li>
		{/each}
	</ul>
</div>
