<script lang="ts">
	import { showTurns } from '$lib/wording/units';
	import type { WindingState } from '../winding.svelte';

	/** Where the strand should be lying, across the width of the spool. */
	let { winding }: { winding: WindingState } = $props();
	const traverse = $derived(winding.traverse);
	const far = $derived(traverse.toward === 'far');
</script>

<div
	class="mt-1 max-w-xl"
	role="img"
	aria-label="The strand should lie {Math.round(100 * traverse.across)} percent across, going {far
		? 'over'
		: 'back'}"
>
	<div class="relative h-7 border-x-[4px] border-ink bg-hair/40">
		<span
			class="absolute top-0 h-full w-2 -translate-x-1/2 bg-now outline-2 outline-ink"
			style="left: {100 * traverse.across}%"
		></span>
		<span
			class="figure absolute top-0 text-[17px] leading-7"
			style="left: calc({100 * traverse.across}% + {far ? 10 : -24}px)"
			aria-hidden="true">{far ? '→' : '←'}</span
		>
	</div>
	<p class="figure text-[15px] text-soft">
		sweep {traverse.sweep + 1}, {showTurns(traverse.turnsPerSweep / winding.gear)} turns from flange to flange
	</p>
</div>
