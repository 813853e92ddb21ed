<script lang="ts">
	import BringListPage from '$lib/ui/features/data/BringListPage.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Bring in a list · Your data · Wendle</title></svelte:head>

<BringListPage there={data.there} />
