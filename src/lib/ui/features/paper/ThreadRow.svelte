<script lang="ts">
	import Strand from '../../charts/thread/Strand.svelte';
	import type { ThreadStrand } from '../../charts/thread/strands';

	/** The thread in one row, from the arbor to the leader, as the rack draws it. */
	let { strands }: { strands: readonly ThreadStrand[] } = $props();
	const share = (role: ThreadStrand['role']): number => (role === 'backing' ? 10 : role === 'line' ? 13 : 6);
</script>

<span class="flex">
	{#each strands as { role, sections }, i (i)}
		<span style="flex: {share(role)}"><Strand {role} {sections} /></span>
	{/each}
	<span class="flex-[4]"><Strand role="leader" /></span>
</span>
