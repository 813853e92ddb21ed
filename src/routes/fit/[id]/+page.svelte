<script lang="ts">
	import FitEditor from '$lib/ui/features/fit/FitEditor.svelte';

	let { data } = $props();
	const title = $derived(data.form.spool.name || 'New set-up');
</script>

<svelte:head><title>{title} · Fit · Wendle</title></svelte:head>

{#key data.saved?.id ?? data.of?.spoolId ?? data.sent ?? 'new'}
	<FitEditor
		form={data.form}
		saved={data.saved}
		of={data.of}
		learnt={data.learnt}
		isSent={data.sent !== undefined}
	/>
{/key}
