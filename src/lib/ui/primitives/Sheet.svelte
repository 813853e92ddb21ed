<script lang="ts">
	import type { Snippet } from 'svelte';

	interface Props {
		open: boolean;
		title: string;
		description?: string;
		children: Snippet;
		/** An alert cannot be waved away: it needs an answer. */
		alert?: boolean;
	}
	let { open = $bindable(), ...rest }: Props = $props();
	// Loaded when first opened, and kept from then on so that focus finds its way back on closing.
	let opened = $state(false);
	$effect(() => {
		if (open) opened = true;
	});
</script>

{#if opened}
	{#await import('./SheetDialog.svelte') then { default: SheetDialog }}
		<SheetDialog bind:open {...rest} />
	{/await}
{/if}
