<script lang="ts">
	import AccessPage from '$lib/ui/features/access/AccessPage.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Who may come in · Wendle</title></svelte:head>

<AccessPage
	set={data.set}
	sessions={data.sessions}
	tokens={data.tokens}
	deeds={data.deeds}
	https={data.https}
/>
