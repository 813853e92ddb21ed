<script lang="ts">
	import PeoplePage from '$lib/ui/features/data/PeoplePage.svelte';

	let { data } = $props();
</script>

<svelte:head><title>People · Your data · Wendle</title></svelte:head>

<PeoplePage people={data.people} backups={data.backups} />
