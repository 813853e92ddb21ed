<script lang="ts">
	import type { Piece } from '$lib/wording/meanings';
	import Word from './Word.svelte';

	/** A text whose words of the trade say what they mean. */
	let { pieces }: { pieces: readonly Piece[] } = $props();
</script>

{#each pieces as { text, term }, i (i)}{#if term}<Word {term}>{text}</Word>{:else}{text}{/if}{/each}
