<script lang="ts">
	import FindPage from '$lib/ui/features/find/FindPage.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Find · Wendle</title></svelte:head>

{#key data.sought}<FindPage sought={data.sought} found={data.found} />{/key}
