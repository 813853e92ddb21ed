<script lang="ts">
	import TakeIn from '$lib/ui/features/orders/TakeIn.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Take in an order · Wendle</title></svelte:head>

<TakeIn spools={data.spools} />
