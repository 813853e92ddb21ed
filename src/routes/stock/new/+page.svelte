<script lang="ts">
	import AddStock from '$lib/ui/features/stock/AddStock.svelte';
</script>

<svelte:head><title>Add to the stock · Wendle</title></svelte:head>

<AddStock />
