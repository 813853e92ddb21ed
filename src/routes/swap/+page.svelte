<script lang="ts">
	import Swap from '$lib/ui/features/swap/Swap.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Swap · {data.choice.spool.name} · Wendle</title></svelte:head>

<div class="mx-auto max-w-[1440px] px-4 py-6 sm:px-8">
	<h1 class="text-[26px] leading-tight font-bold tracking-tight">Swap on {data.choice.spool.name}</h1>
	<p class="mt-1 max-w-[64ch]">
		Choose what comes off and what goes on in its place. Wendle shows the gap that it leaves. What is under it
		stays on.
	</p>
	{#key data.choice.now.record.id}<Swap choice={data.choice} />{/key}
</div>
