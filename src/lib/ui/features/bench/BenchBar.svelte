<script lang="ts">
	import { ROLE_NAMES } from '$lib/core';
	import { showTurns } from '$lib/wording/units';
	import { useHandsBusy } from '../../state/hands-busy.svelte';
	import type { BenchState } from './bench-state.svelte';
	import type { WindingState } from './winding.svelte';

	/**
	 * At the foot of the screen, in reach of a thumb: on to the next step, or back. While something is wound, turns by the batch at one
	 * end and the next step at the other, with the number that matters between them.
	 */
	interface Props {
		bench: BenchState;
		/** Only while something is wound. */
		winding: WindingState | undefined;
		onback: () => void;
		onnext: () => void;
	}
	let { bench, winding, onback, onnext }: Props = $props();
	const hands = useHandsBusy();
	const batch = $derived(hands.get('batch'));
	const over = $derived(winding !== undefined && winding.left < -0.5);
</script>

<div class="no-print bench-bar flex items-center gap-3 {hands.whole ? '' : 'lg:hidden'}">
	{#if winding}
		<button
			type="button"
			class="action-quiet min-h-16 min-w-28 justify-center text-[22px] font-semibold sm:min-w-48"
			aria-label="{batch} turns of {ROLE_NAMES[winding.part.role]}"
			onclick={() => winding.add(batch)}>+{batch}</button
		>
		<p class="figure flex-1 text-center leading-none" aria-hidden="true">
			<span class="block text-[34px] font-bold {winding.stage === 'stop' ? 'text-warn' : ''}"
				>{winding.placed ? showTurns(Math.abs(winding.left)) : '?'}</span
			>
			<span class="text-[12.5px] text-soft">{over ? 'too many' : 'to go'}</span>
		</p>
	{:else}
		<button type="button" class="action-quiet min-h-14" disabled={bench.at === 0} onclick={onback}
			>Back</button
		>
	{/if}
	{#if bench.step}
		<button
			type="button"
			class="action justify-center {winding
				? 'min-h-16 px-4'
				: hands.whole
					? 'min-h-24 flex-1 text-[26px]'
					: 'min-h-14 flex-1'} {hands.whole && winding ? 'min-h-20 px-10 text-[20px]' : ''}"
			onclick={onnext}>Done, next</button
		>
	{/if}
</div>
