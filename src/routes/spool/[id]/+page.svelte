<script lang="ts">
	import SpoolPage from '$lib/ui/features/rack/SpoolPage.svelte';

	let { data } = $props();
</script>

<svelte:head><title>{data.spool.form.name || 'Unnamed spool'} · Rack · Wendle</title></svelte:head>

<SpoolPage spool={data.spool} entry={data.entry} windings={data.windings} due={data.due} />
