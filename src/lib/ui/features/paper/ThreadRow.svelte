<script lang="ts">
	import { isUnder } from '$lib/core';
	import Strand from '../../charts/thread/Strand.svelte';
	import type { ThreadStrand } from '../../charts/thread/strands';

	/** The thread in one row, from the arbor to the leader, as the rack draws it; something on a coil has none. */
	let { strands, leader = true }: { strands: readonly ThreadStrand[]; leader?: boolean } = $props();
	/** Bare backing has no leader. */
	const led = $derived(leader && !isUnder(strands.at(-1)?.role ?? 'backing'));
	const share = (role: ThreadStrand['role']): number => (role === 'backing' ? 10 : role === 'line' ? 13 : 6);
</script>

<span class="flex">
	{#each strands as { role, sections }, i (i)}
		<span style="flex: {share(role)}"><Strand {role} {sections} /></span>
	{/each}
	{#if led}<span class="flex-[4]"><Strand role="leader" /></span>{/if}
</span>
