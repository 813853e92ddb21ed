<script lang="ts">
	import { showSmall, showSmallRange, showTurns, smallUnit } from '$lib/wording/units';
	import { usePreferences } from '../../state/preferences.svelte';
	import { choicesOf } from './surprise';
	import type { WindingState } from './winding.svelte';

	/** A reading that contradicts the rest is a question to whoever took it. */
	let { winding }: { winding: WindingState } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const surprise = $derived(winding.surprise);
	const asked = $derived(surprise && winding.noted(surprise.id));
</script>

{#if surprise?.told.expected && asked}
	{@const { low, high } = surprise.told.expected.range}
	<section
		class="my-4 max-w-3xl border-2 border-warn p-4"
		aria-label="This reading is a surprise"
		data-surprise
	>
		<h3 class="text-[22px] font-bold">
			You read {showSmall(asked.depthMm, units)}{asked.turns > 0
				? ` after ${showTurns(asked.turns)} turns`
				: ''}. Wendle expected {showSmallRange(Math.max(low, 0), high, units)}
			{smallUnit(units)}.
		</h3>
		<p class="mt-1 text-[17px]">What happened? Until you say, this reading changes nothing.</p>
		<div class="mt-3 grid gap-2 sm:grid-cols-2">
			{#each choicesOf(surprise.told.explanations) as { as, label } (as)}
				<button
					type="button"
					class="action-quiet min-h-14 justify-start px-4 text-left text-[18px]"
					onclick={() => (as === 'misread' ? winding.strike(surprise.id) : winding.takeAs(surprise.id, as))}
					>{label}</button
				>
			{/each}
		</div>
	</section>
{/if}
