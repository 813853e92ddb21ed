<script lang="ts">
	import { invalidate } from '$app/navigation';
	import LearntPage from '$lib/ui/features/learnt/LearntPage.svelte';

	let { data } = $props();
</script>

<svelte:head><title>What Wendle has learnt · Wendle</title></svelte:head>

<LearntPage told={data.told} onchanged={() => void invalidate('wendle:learnt')} />
