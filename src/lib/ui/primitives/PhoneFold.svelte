<script lang="ts">
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import type { Snippet } from 'svelte';

	/** A part of a page with its heading. On a phone it opens when its heading is pressed; where there is room it stands open. */
	interface Props {
		title: string;
		id: string;
		/** It is what the page is opened for, so it stands open on a phone too. */
		open?: boolean;
		children: Snippet;
	}
	let { title, id, open = false, children }: Props = $props();
	let picked = $state<boolean>();
	const shown = $derived(picked ?? open);
</script>

<h2 {id} class="flex items-center text-[19px] font-semibold">
	<span class="max-sm:hidden">{title}</span>
	<button
		type="button"
		class="flex min-h-9 flex-1 items-center justify-between gap-3 text-left sm:hidden"
		aria-expanded={shown}
		onclick={() => (picked = !shown)}
	>
		{title}<ChevronDown size={18} class="shrink-0 {shown ? 'rotate-180' : ''}" aria-hidden="true" />
	</button>
</h2>
<div class={shown ? '' : 'max-sm:hidden'}>{@render children()}</div>
