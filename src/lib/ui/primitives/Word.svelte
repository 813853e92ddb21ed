<script lang="ts">
	import { MEANINGS, type Term } from '$lib/wording/meanings';
	import type { Snippet } from 'svelte';

	/** A word of the trade, which says what it means when it is pressed. */
	let { term, children }: { term: Term; children: Snippet } = $props();
	const id = $props.id();
	let open = $state(false);
	const show = (meaning: HTMLElement): void => meaning.showPopover();
</script>

<button
	type="button"
	class="word underline decoration-dotted decoration-1 underline-offset-4"
	aria-expanded={open}
	aria-describedby={open ? id : undefined}
	style="anchor-name: --{id}"
	onclick={() => (open = true)}>{@render children()}</button
>{#if open}<span
		{id}
		popover="auto"
		role="note"
		class="meaning figure"
		style="position-anchor: --{id}"
		{@attach show}
		ontoggle={(event) => (open = event.newState === 'open')}><b>{term}</b>: {MEANINGS[term]}</span
	>{/if}
