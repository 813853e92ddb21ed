<script lang="ts">
	import SignIn from '$lib/ui/features/access/SignIn.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Sign in · Wendle</title></svelte:head>

<SignIn to={data.to} needsOwner={data.needsOwner} signedIn={data.role !== null} />
