<script lang="ts">
	import OrderBoard from '$lib/ui/features/orders/OrderBoard.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Orders · Wendle</title></svelte:head>

<OrderBoard board={data.board} />
