<script lang="ts">
	import { ROLE_NAMES } from '$lib/core';
	import { useHandsBusy } from '../../state/hands-busy.svelte';
	import type { BenchState } from './bench-state.svelte';
	import type { WindingState } from './winding.svelte';

	/** On to the next step, or back; and turns by the batch while something is wound. */
	interface Props {
		bench: BenchState;
		/** Only while something is wound. */
		winding: WindingState | undefined;
		onback: () => void;
		onnext: () => void;
	}
	let { bench, winding, onback, onnext }: Props = $props();
	const hands = useHandsBusy();
	const size = $derived(
		hands.whole ? (winding ? 'min-h-20 px-10 text-[20px]' : 'min-h-24 flex-1 text-[26px]') : 'max-lg:flex-1'
	);
</script>

<div class="no-print flex gap-3 {hands.whole ? 'bench-bar' : 'mt-8 max-lg:bench-bar'}">
	<button type="button" class="action-quiet min-h-14" disabled={bench.at === 0} onclick={onback}>Back</button>
	{#if winding}
		<button
			type="button"
			class="action-quiet min-h-14 flex-1 justify-center text-[20px] lg:hidden"
			aria-label="{hands.get('batch')} turns of {ROLE_NAMES[winding.part.role]}"
			onclick={() => winding.add(hands.get('batch'))}>+{hands.get('batch')}</button
		>
	{/if}
	{#if bench.step}
		<button type="button" class="action min-h-14 justify-center {size}" onclick={onnext}>
			Done, next<kbd class="text-[13px] font-normal opacity-70 max-lg:hidden">Space</kbd>
		</button>
	{/if}
</div>
