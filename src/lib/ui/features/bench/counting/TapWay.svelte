<script lang="ts">
	import Undo from '@lucide/svelte/icons/undo-2';
	import { useHandsBusy } from '../../../state/hands-busy.svelte';
	import type { Run } from '../../../state/run.svelte';
	import NumberInput from '../../../primitives/NumberInput.svelte';
	import type { WindingState } from '../winding.svelte';

	/** A tap, or a key, for every so many turns. */
	let { run, winding }: { run: Run; winding: WindingState } = $props();
	const hands = useHandsBusy();
	const batch = $derived(hands.get('batch'));
	const MOST = 1000;
</script>

<div class="flex flex-wrap items-stretch gap-3">
	<button
		type="button"
		class="action min-h-20 min-w-56 flex-1 justify-center px-6 text-[26px] sm:max-w-md {hands.whole
			? 'min-h-[30dvh]'
			: ''}"
		onclick={() => winding.add(batch)}
	>
		{batch}
		{batch === 1 ? 'turn' : 'turns'}<kbd class="text-[14px] font-normal opacity-70 max-lg:hidden">T</kbd>
	</button>
	<button
		type="button"
		class="action-quiet min-h-14 px-5 text-[20px]"
		aria-label="One turn more"
		onclick={() => winding.add(1)}>+1</button
	>
	<button
		type="button"
		class="action-quiet min-h-14 px-5 text-[20px]"
		aria-label="One turn less"
		onclick={() => winding.add(-1)}>−1</button
	>
	<button
		type="button"
		class="action-quiet min-h-14 px-4"
		disabled={!run.state.undoable}
		onclick={() => void run.undo()}
		><Undo size={18} />Undo<kbd class="text-[13px] font-normal opacity-70 max-lg:hidden">Z</kbd></button
	>
	<label class="figure flex items-center gap-2 text-[15px] text-soft">
		a tap is
		<NumberInput
			min={1}
			max={MOST}
			value={batch}
			late
			class="w-20 border-b-[1.5px] border-ink bg-transparent py-1 text-[18px] text-ink"
			onchange={(turns = 1) => hands.set('batch', Math.min(Math.max(1, Math.round(turns)), MOST))}
		/>
		turns
	</label>
</div>
