<script lang="ts">
	import { showSmall, showTurns } from '$lib/wording/units';
	import X from '@lucide/svelte/icons/x';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { ReadingNow, WindingState } from './winding.svelte';

	/** Every depth that was read, with what it changed; each can be taken out. */
	let { winding }: { winding: WindingState } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

	/** Changes smaller than this are not worth a word, mm. */
	const LEAST_MM = 0.05;
	function changed({ told }: ReadingNow): string {
		if (told.surprise) return 'left out for now';
		const { turns, stopDepthMm, gapMm } = told.moved;
		const by = (amount: number, what: string): string => `${amount < 0 ? '−' : '+'}${what}`;
		const small = (what: string, mm: number): string[] =>
			Math.abs(mm) < LEAST_MM ? [] : [`${what} ${by(mm, showSmall(Math.abs(mm), units))}`];
		const parts = winding.toDepth
			? [`${by(turns, showTurns(Math.abs(turns / winding.gear)))} turns to go`, ...small('stop', stopDepthMm)]
			: small('gap', gapMm);
		return parts.join(', ') || 'as expected';
	}
</script>

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
