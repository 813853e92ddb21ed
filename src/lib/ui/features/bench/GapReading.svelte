<script lang="ts">
	import { correct, parseLength } from '$lib/core';
	import { showLong, showSmall, showTurns, smallUnit } from '$lib/wording/units';
	import { wordIssue } from '$lib/wording/issues';
	import type { Workout } from '$lib/setup/evaluate-form';
	import Field from '../../primitives/Field.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { Run } from '../../state/run.svelte';

	/** The gap with everything on, and what that means for the backing. */
	let { run, workout }: { run: Run; workout: Workout } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const small = $derived(smallUnit(units));
	/** A change smaller than this is within what a rule can say, mm of gap. */
	const ENOUGH_MM = 0.5;

	const spool = $derived(workout.known.spool);
	const top = $derived(workout.parts.at(-1)!);
	/** A gap is kept as the depth of the outermost surface. */
	const rimToFrameMm = $derived(spool.gapFromRadiusMm - spool.rimRadiusMm);
	const read = $derived(run.state.depths.get(top.id));
	const gapMm = $derived(read && read.depthMm + rimToFrameMm);
	const corrected = $derived(gapMm === undefined ? undefined : correct(workout.problem, gapMm));

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
		void run.add({ kind: 'depth', part: top.id, depthMm: mm.value - rimToFrameMm });
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
		label="Gap that you measure"
		value={text}
		aside={small}
		error={trouble}
		oninput={(value) => ([text, trouble] = [value, undefined])}
	/>
	<button type="submit" class="action-quiet min-h-12" disabled={text.trim() === ''}>Write in</button>
</form>
{#if gapMm !== undefined}
	<p class="mt-3 max-w-[52ch] text-[21px]" role="status" data-correction>
		{showSmall(gapMm, units)} seen, {showSmall(workout.fit.gapMm, units)} planned.
		{#if Math.abs(gapMm - workout.fit.gapMm) <= ENOUGH_MM}
			That is it.
		{:else if corrected?.ok}
			{@const { backingChangeMm, turns, stopDepthMm } = corrected.value}
			{backingChangeMm < 0 ? 'Take off' : 'Add'}
			<b>{showLong(Math.abs(backingChangeMm), units)}</b> of backing, about
			{showTurns(Math.abs(turns))} turns, so that it stands {showSmall(stopDepthMm, units)} below the rim. Or leave
			it:
			{backingChangeMm < 0 ? 'if nothing rubs, it will do.' : 'it only winds a little more slowly.'}
		{:else if corrected}
			{wordIssue(corrected.issues[0]!).message}
		{/if}
	</p>
{/if}
