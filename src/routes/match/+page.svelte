<script lang="ts">
	import Match from '$lib/ui/features/match/Match.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Match · Wendle</title></svelte:head>

<Match spools={data.spools} lines={data.lines} />
