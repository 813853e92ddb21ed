<script lang="ts">
	import Swap from '$lib/ui/features/swap/Swap.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Swap · {data.choice.spool.name} · Wendle</title></svelte:head>

<div class="mx-auto max-w-[1440px] px-4 py-6 sm:px-8">
	<h1 class="text-[26px] leading-tight font-bold tracking-tight">Swap on {data.choice.spool.name}</h1>
	<p class="mt-1 max-w-[64ch]">
		What comes off, what goes on in its place, and the gap that leaves. What lies under it stays.
	</p>
	{#key data.choice.now.record.id}<Swap choice={data.choice} />{/key}
</div>
