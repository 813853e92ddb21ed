<script lang="ts">
	import { Dialog } from 'bits-ui';
	import type { Snippet } from 'svelte';

	interface Props {
		open: boolean;
		title: string;
		description?: string | undefined;
		children: Snippet;
		alert?: boolean;
	}
	let { open = $bindable(), title, description, children, alert = false }: Props = $props();
	const behaviour = $derived(alert ? 'ignore' : 'close');
</script>

<Dialog.Root bind:open>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-40 bg-black/50" />
		<Dialog.Content
			escapeKeydownBehavior={behaviour}
			interactOutsideBehavior={behaviour}
			class="fixed top-1/2 left-1/2 z-50 max-h-[88dvh] w-[min(32rem,92vw)] -translate-1/2 overflow-y-auto border-2 border-ink bg-paper p-6"
		>
			<Dialog.Title class="figure text-xl font-bold">{title}</Dialog.Title>
			{#if description}<Dialog.Description class="mt-2 text-soft">{description}</Dialog.Description>{/if}
			<div class="mt-4">{@render children()}</div>
			{#if !alert}<Dialog.Close class="mt-5 action-quiet">Close</Dialog.Close>{/if}
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
