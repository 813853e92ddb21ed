<script lang="ts">
	import { parseLength } from '$lib/core';
	import { showLong, showSmall, showSmallRange, showTurns, smallUnit } from '$lib/wording/units';
	import Field from '../../primitives/Field.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { Run } from '../../state/run.svelte';
	import Readings from './Readings.svelte';
	import Spans from './Spans.svelte';
	import Surprise from './Surprise.svelte';
	import type { WindingState } from './winding.svelte';

	/** The gap with everything on, and what that means for the backing. `winding` is that of the outermost part. */
	let { run, winding, wantedMm }: { run: Run; winding: WindingState; wantedMm: number } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const small = $derived(smallUnit(units));
	/** A change smaller than this is within what a rule can say, mm of gap. */
	const ENOUGH_MM = 0.5;
	/** Low end of the gap under which it may rub, mm. */
	const RUBS_MM = 0;

	const spool = $derived(winding.spool);
	/** A gap is kept as the depth of the outermost surface. */
	const rimToFrameMm = $derived(spool.gapFromRadiusMm - spool.rimRadiusMm);
	const read = $derived(
		run.state.readings.filter(({ part, finished }) => part === winding.part.id && finished)
	);
	const seenMm = $derived(read.length > 0 ? read.at(-1)!.depthMm + rimToFrameMm : undefined);
	const now = $derived(winding.estimate);

	let text = $state('');
	let trouble = $state<string>();
	function write(): void {
		const mm = parseLength(text, small);
		const limit = spool.gapFromRadiusMm - spool.arborRadiusMm;
		trouble =
			mm.ok && mm.value > -20 && mm.value < limit
				? undefined
				: `Measure from the line to the frame or rim: less than ${showSmall(limit, units)}.`;
		if (trouble || !mm.ok) return;
		void run.add({
			kind: 'depth',
			part: winding.part.id,
			depthMm: mm.value - rimToFrameMm,
			finished: true
		});
		text = '';
	}
</script>

<form
	class="mt-5 grid max-w-md grid-cols-[1fr_auto] items-end gap-4"
	onsubmit={(event) => {
		event.preventDefault();
		write();
	}}
>
	<Field
		label={read.length > 0 ? 'The same gap in another place' : 'Gap that you measure'}
		value={text}
		aside={small}
		error={trouble}
		oninput={(value) => ([text, trouble] = [value, undefined])}
	/>
	<button type="submit" class="action-quiet min-h-12" disabled={text.trim() === ''}>Save reading</button>
</form>
{#if seenMm !== undefined}
	<p class="mt-3 max-w-[52ch] text-[21px]" role="status" data-correction>
		You measured {showSmall(seenMm, units)}, and {showSmall(wantedMm, units)} was planned.
		{#if Math.abs(seenMm - wantedMm) <= ENOUGH_MM}
			That's right.
		{:else if now && !winding.surprise}
			{@const { turns, lengthMm, stopDepthMm } = now.todo}
			{turns.value < 0 ? 'Take off' : 'Add'}
			<b>{showLong(Math.abs(lengthMm.value), units)}</b> of backing<Spans mm={Math.abs(lengthMm.value)} />,
			about
			{showTurns(Math.abs(turns.value / winding.gear))} turns. It then ends {showSmall(
				stopDepthMm.value,
				units
			)} below the rim{now.stopBy === 'depth' ? '' : '; here the turns are more certain than the depth'}. Or
			leave it:
			{turns.value < 0 ? 'if nothing rubs, it will do.' : 'it only winds in a little more slowly.'}
		{/if}
	</p>
	{#if now && !winding.surprise && now.gap.asItIs.range.low < RUBS_MM}
		<p class="mt-2 max-w-[52ch] text-[17px] text-warn" data-second-place>
			The gap is {showSmallRange(now.gap.asItIs.range.low, now.gap.asItIs.range.high, units)}
			{small}, 9 times out of 10, so it may rub. Measure it in a second place.
		</p>
	{/if}
{/if}
<Surprise {winding} />
<Readings {winding} />
