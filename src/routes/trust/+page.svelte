<script lang="ts">
	import TrustPage from '$lib/ui/features/access/TrustPage.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Trust this Wendle on a phone · Wendle</title></svelte:head>

<TrustPage address={data.address} />
