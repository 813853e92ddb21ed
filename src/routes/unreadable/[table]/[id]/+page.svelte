<script lang="ts">
	import MendEntry from '$lib/ui/features/unreadable/MendEntry.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Repair an entry · Wendle</title></svelte:head>

{#key data.entry.id}<MendEntry entry={data.entry} />{/key}
