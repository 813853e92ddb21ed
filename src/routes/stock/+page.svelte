<script lang="ts">
	import StockPage from '$lib/ui/features/stock/StockPage.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Stock · Wendle</title></svelte:head>

<StockPage stock={data.stock} />
