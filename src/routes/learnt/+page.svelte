<script lang="ts">
	import LearntPage from '$lib/ui/features/learnt/LearntPage.svelte';
	import { refresh } from '$lib/ui/state/refresh';

	let { data } = $props();
</script>

<svelte:head><title>What Wendle has learnt · Wendle</title></svelte:head>

<LearntPage told={data.told} onchanged={() => void refresh('wendle:learnt')} />
