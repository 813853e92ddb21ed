<script lang="ts">
	import { useHandsBusy } from '../../state/hands-busy.svelte';

	/** A length in the person's own arm spans, where they said how long one is: it is measured off without a tape. */
	let { mm }: { mm: number } = $props();
	const hands = useHandsBusy();
	const spans = $derived(hands.get('spanMm') > 0 ? mm / hands.get('spanMm') : 0);
</script>

{#if spans >= 0.5}<span data-spans
		>, about {Math.round(spans)} of your arm {Math.round(spans) === 1 ? 'span' : 'spans'}</span
	>{/if}
