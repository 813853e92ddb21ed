<script lang="ts">
	import Waiting from '$lib/ui/features/bench/Waiting.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Bench · Wendle</title></svelte:head>

<Waiting rack={data.rack} />
