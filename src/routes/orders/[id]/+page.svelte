<script lang="ts">
	import OrderPage from '$lib/ui/features/orders/OrderPage.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Order {data.order.number} · Wendle</title></svelte:head>

{#key data.order.id}<OrderPage order={data.order} next={data.next} spools={data.spools} />{/key}
