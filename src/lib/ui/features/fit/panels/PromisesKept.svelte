<script lang="ts">
	import type { GapPromises } from '$lib/inventory/promise';
	import { dayOf } from '$lib/core';
	import { showDay } from '$lib/wording/dates';
	import { showSmall, showSmallRange } from '$lib/wording/units';
	import { promises as answer } from '../../../state/answers';
	import { send } from '../../../state/api';
	import { usePreferences } from '../../../state/preferences.svelte';

	/** How well the gaps of one's own windings were foreseen. */
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	let told = $state.raw<GapPromises>();
	void send('GET', '/api/promises', undefined, { answer }).then((reply) => {
		if (reply.kind === 'ok') told = reply.value;
	});

	const count = $derived(told?.promises.length ?? 0);
	/** Fewer than this many say little. */
	const ENOUGH = 5;
	/** Under this share something was not what it was said to be. Nine in ten should hold. */
	const LEAST_HELD = 0.7;
	const few = $derived(count >= ENOUGH && (told?.held ?? 0) / count < LEAST_HELD);

	/** One scale for all windings: from the lowest to the highest of what was foreseen and found. */
	const low = $derived(Math.min(0, ...(told?.promises ?? []).flatMap((p) => [p.lowMm, p.foundMm])));
	const high = $derived(Math.max(1, ...(told?.promises ?? []).flatMap((p) => [p.highMm, p.foundMm])));
	const at = (mm: number): number => (100 * (mm - low)) / (high - low);
</script>

{#if told && count > 0}
	<h3 class="mt-5 text-[15px] font-semibold">Gaps that Wendle foresaw, and gaps you found</h3>
	<p class="mt-1 text-[14px] text-soft" data-promises>
		{told.held} of {count}
		{count === 1 ? 'gap' : 'gaps'} that you measured {told.held === 1 ? 'was' : 'were'} in the range that Wendle
		gave. 9 out of 10 should be.
	</p>
	<ul class="mt-2 space-y-1">
		{#each told.promises as { recordId, spool, woundOn, foreseenMm, lowMm, highMm, foundMm, held } (recordId)}
			<li
				class="grid grid-cols-[11rem_1fr_12.5rem] items-center gap-3 text-[14px] max-sm:grid-cols-[7rem_1fr]"
				title={showDay(dayOf(woundOn), preferences.locale)}
			>
				<span class="truncate">{spool}</span>
				<span class="relative h-4 border-x border-hair">
					<span
						class="absolute inset-y-1.5 bg-soft/40"
						style="left: {at(lowMm)}%; width: {at(highMm) - at(lowMm)}%"
					></span>
					<span class="absolute inset-y-1 w-0.5 bg-soft" style="left: {at(foreseenMm)}%"></span>
					<span
						class="absolute top-1/2 size-2.5 -translate-1/2 rounded-full border-2 {held
							? 'border-ink bg-ink'
							: 'border-warn bg-paper'}"
						style="left: {at(foundMm)}%"
					></span>
				</span>
				<span class="figure text-right max-sm:hidden {held ? '' : 'text-warn'}"
					>{showSmall(foundMm, units)}, {showSmallRange(lowMm, highMm, units)} foreseen</span
				>
			</li>
		{/each}
	</ul>
	{#if few}
		<p class="mt-2 text-[14px] text-warn">
			That is too few, so something isn't as these set-ups say. Measure the spools and the backing again, and
			check that you measure each gap to the same part of the reel.
		</p>
	{/if}
{/if}
