<script lang="ts">
	import { useHandsBusy } from '../../state/hands-busy.svelte';
	import type { BenchState } from './bench-state.svelte';
	import HandsBusyBar from './HandsBusyBar.svelte';

	/** Over the step: what helps while hands are busy, what to do when something is wrong, and, on a large screen, the way on. */
	interface Props {
		bench: BenchState;
		/** Whether what is wrong is being asked. */
		trouble: boolean;
		/** Something is wound in this step. */
		winds: boolean;
		onaloud: () => void;
		onback: () => void;
		onnext: () => void;
	}
	let { bench, trouble = $bindable(), winds, onaloud, onback, onnext }: Props = $props();
	const hands = useHandsBusy();
	/** The bar at the foot has a Back of its own, but for the steps that wind. */
	const back = $derived(winds ? '' : hands.whole ? 'hidden' : 'max-lg:hidden');
</script>

<div class="no-print mb-3 flex flex-wrap items-center gap-3 bg-ground py-2 lg:sticky lg:top-0 lg:z-10">
	<HandsBusyBar {onaloud} />
	<span class="flex-1"></span>
	{#if bench.remedies.length > 0}
		<button
			type="button"
			class="action-quiet min-h-11"
			aria-label="Something is wrong"
			aria-expanded={trouble}
			onclick={() => (trouble = !trouble)}
		>
			<span class="sm:hidden">Wrong?</span><span class="max-sm:hidden">Something is wrong</span><kbd
				class="text-[13px] font-normal opacity-70 max-lg:hidden">W</kbd
			>
		</button>
	{/if}
	<button type="button" class="action-quiet min-h-11 {back}" disabled={bench.at === 0} onclick={onback}
		>Back</button
	>
	{#if bench.step && !hands.whole}
		<button type="button" class="action min-h-12 px-6 max-lg:hidden" onclick={onnext}>
			Done, next<kbd class="text-[13px] font-normal opacity-70">Space</kbd>
		</button>
	{/if}
</div>
