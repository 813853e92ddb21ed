<script lang="ts">
	import { showSmall, showSmallRange, showTurns } from '$lib/wording/units';
	import X from '@lucide/svelte/icons/x';
	import { usePreferences } from '../../state/preferences.svelte';
	import { choicesOf } from './surprise';
	import type { ReadingNow, WindingState } from './winding.svelte';

	/** Every depth that was read, with what it changed; each can be taken out. A surprise is a question. */
	let { winding }: { winding: WindingState } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

	function changed({ told }: ReadingNow): string {
		if (told.surprise) return 'left out for now';
		const { turns, stopDepthMm, gapMm } = told.moved;
		const by = (amount: number, what: string): string => `${amount < 0 ? '−' : '+'}${what}`;
		if (!winding.toDepth) return `gap ${by(gapMm, showSmall(Math.abs(gapMm), units))}`;
		const depth = by(stopDepthMm, showSmall(Math.abs(stopDepthMm), units));
		return `${by(turns, showTurns(Math.abs(turns)))} turns, stop ${depth}`;
	}
	const surprise = $derived(winding.surprise);
	const asked = $derived(surprise && winding.noted(surprise.id));
</script>

{#if surprise?.told.expected && asked}
	{@const { low, high } = surprise.told.expected.range}
	<section
		class="mt-4 max-w-3xl border-2 border-warn p-4"
		aria-label="A reading that surprises"
		data-surprise
	>
		<h3 class="text-[22px] font-bold">
			You read {showSmall(asked.depthMm, units)}{asked.turns > 0
				? ` after ${showTurns(asked.turns)} turns`
				: ''}. Wendle expected {showSmallRange(Math.max(low, 0), high, units)}.
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
{#if winding.readings.length > 0}
	<h3 class="figure mt-4 text-[15px] text-soft">Depths you read, and what each changed</h3>
	<ol class="figure max-w-3xl text-[15px]" data-readings>
		{#each winding.readings as reading (reading.id)}
			{@const noted = winding.noted(reading.id)}
			{#if noted}
				<li class="flex items-center gap-3 border-b border-hair">
					<span class="text-soft">{clock.format(noted.at)}</span>
					<span>{showSmall(noted.depthMm, units)}</span>
					<span class="flex-1 {reading.told.surprise ? 'text-warn' : ''}">{changed(reading)}</span>
					<button
						type="button"
						class="grid size-9 place-items-center"
						aria-label="Take out the reading of {showSmall(noted.depthMm, units)}"
						onclick={() => winding.strike(reading.id)}><X size={16} /></button
					>
				</li>
			{/if}
		{/each}
	</ol>
{/if}
