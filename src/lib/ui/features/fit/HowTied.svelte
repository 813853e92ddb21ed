<script lang="ts">
	import type { FitState } from './fit-state.svelte';

	/** How a joint is tied, when that is asked: the drawings are fetched then. `id`: the part over it, or `arbor`. */
	let { fit, id }: { fit: FitState; id: string } = $props();
</script>

<details bind:open={fit.showsKnots} class="text-[14px]">
	<summary class="cursor-pointer text-soft">How it is tied</summary>
	{#if fit.showsKnots}
		{#await import('./JointKnots.svelte') then { default: JointKnots }}
			<div class="mt-1.5"><JointKnots {fit} {id} /></div>
		{/await}
	{/if}
</details>
