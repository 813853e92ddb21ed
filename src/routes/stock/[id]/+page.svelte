<script lang="ts">
	import { stockName } from '$lib/stock/words';
	import StockItem from '$lib/ui/features/stock/StockItem.svelte';

	let { data, params } = $props();
	const entry = $derived(data.stock.entries.find(({ id }) => id === params.id));
</script>

<svelte:head><title>{entry ? stockName(entry) : 'Stock'} · Stock · Wendle</title></svelte:head>

{#if entry}{#key entry.id}<StockItem stock={data.stock} id={entry.id} />{/key}{/if}
