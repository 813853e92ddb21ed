<script lang="ts">
	import { checkpoint, correct, parseLength, ROLE_NAMES, type Checkpoint, type Result } from '$lib/core';
	import {
		longUnit,
		showLong,
		showLongRange,
		showSmall,
		showSmallRange,
		showTurns,
		smallUnit
	} from '$lib/wording/units';
	import { wordIssue } from '$lib/wording/issues';
	import Field from '../../../primitives/Field.svelte';
	import Select from '../../../primitives/Select.svelte';
	import { usePreferences } from '../../../state/preferences.svelte';
	import type { FitState } from '../fit-state.svelte';

	/** In the middle of winding: turns and depth in, what is left out. And afterwards: the gap seen, what to change. */
	let { fit }: { fit: FitState } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const small = $derived(smallUnit(units));

	let part = $state<number>();
	let turns = $state('');
	let depth = $state('');
	let seen = $state('');

	const workout = $derived(fit.stale ? undefined : fit.workout);
	const component = $derived(Math.min(part ?? workout?.stopIndex ?? 0, (workout?.parts.length ?? 1) - 1));
	const partOptions = $derived(
		(workout?.parts ?? []).map(({ role }, i) => ({ value: i, label: ROLE_NAMES[role] }))
	);

	const count = $derived(Number(turns.trim().replace(/\s*turns?$/i, '')));
	const told = $derived.by((): Result<Checkpoint> | undefined => {
		if (!workout || turns.trim() === '' || depth.trim() === '') return undefined;
		const depthMm = parseLength(depth, small);
		if (!depthMm.ok) return { ok: false, issues: depthMm.issues.map((i) => ({ ...i, path: ['depthMm'] })) };
		if (!Number.isFinite(count))
			return { ok: false, issues: [{ code: 'unreadable_quantity', text: turns, path: ['turns'] }] };
		return checkpoint(
			workout.problem,
			{ component, turns: count * workout.gear, depthMm: depthMm.value },
			workout.spreads
		);
	});
	const issue = (field: string): string | undefined =>
		told && !told.ok && told.issues[0]!.path[0] === field
			? wordIssue(told.issues[0]!, units).message
			: undefined;
	const otherTrouble = $derived(
		told && !told.ok && !['turns', 'depthMm'].includes(String(told.issues[0]!.path[0]))
			? wordIssue(told.issues[0]!, units).message
			: undefined
	);

	const corrected = $derived.by(() => {
		if (!workout || seen.trim() === '') return undefined;
		const gapMm = parseLength(seen, small);
		return gapMm.ok ? correct(workout.problem, { gapMm: gapMm.value }, workout.spreads) : gapMm;
	});
</script>

<h3 class="text-[15px] font-semibold">Paused while winding</h3>
<div class="mt-1 grid grid-cols-3 gap-4">
	<Select label="Going on now" options={partOptions} value={component} onchange={(value) => (part = value)} />
	<Field
		label="Turns so far"
		value={turns}
		inputmode="numeric"
		error={issue('turns')}
		oninput={(value) => (turns = value)}
	/>
	<Field
		label="Depth now, from the rim down"
		value={depth}
		aside={small}
		error={issue('depthMm')}
		oninput={(value) => (depth = value)}
	/>
</div>
{#if otherTrouble}<p class="mt-1 text-[13.5px] text-warn">{otherTrouble}</p>{/if}
{#if told?.ok && workout}
	{@const { remaining, ranges } = told.value}
	{@const over = remaining.turns < -0.5}
	<dl class="figure mt-3 grid grid-cols-2 gap-x-6 gap-y-3 sm:grid-cols-4" data-pause>
		<div>
			<dt class="text-[13px] text-soft">{over ? 'take off' : 'still to wind'}</dt>
			<dd class="text-[26px] leading-tight font-bold">
				<span class="px-0.5 marked" data-pause-turns
					>{showTurns(Math.abs(remaining.turns / workout.gear))}</span
				><span class="ml-1 text-[15px] font-medium">turns</span>
			</dd>
			<dd class="text-[13px] text-soft">
				{over
					? ''
					: `${showTurns(Math.max(ranges.turns.low / workout.gear, 0))}–${showTurns(ranges.turns.high / workout.gear)}`}
			</dd>
		</div>
		<div>
			<dt class="text-[13px] text-soft">which is</dt>
			<dd class="text-[20px] font-semibold">{showLong(Math.abs(remaining.lengthMm), units)}</dd>
			<dd class="text-[13px] text-soft">{showLong(told.value.lengthSoFarMm, units)} on so far</dd>
		</div>
		<div>
			<dt class="text-[13px] text-soft">{workout.fit.solved ? 'stop at' : 'ends at'}</dt>
			<dd class="text-[20px] font-semibold">{showSmall(told.value.stopDepthMm, units)}</dd>
			<dd class="text-[13px] text-soft">below the rim</dd>
		</div>
		<div>
			<dt class="text-[13px] text-soft">gap then</dt>
			<dd class="text-[20px] font-semibold">{showSmall(told.value.gapMm, units)}</dd>
			<dd class="text-[13px] text-soft">{showSmallRange(ranges.gapMm.low, ranges.gapMm.high, units)}</dd>
		</div>
	</dl>
	{#if told.value.surprise}
		<p class="mt-2 text-[15px] text-warn" role="status" data-surprise>
			This depth is far from what these turns should give, so Wendle left it out. Read it again, and check the
			count.
		</p>
	{/if}
	<p class="mt-2 text-[14px] text-soft">
		In all that is {showLongRange(
			told.value.lengthSoFarMm + ranges.lengthMm.low,
			told.value.lengthSoFarMm + ranges.lengthMm.high,
			units
		)}
		{longUnit(units)}. Stopped by depth the gap is {showSmallRange(
			ranges.gapByDepthMm.low,
			ranges.gapByDepthMm.high,
			units
		)}, by turns {showSmallRange(ranges.gapMm.low, ranges.gapMm.high, units)}, 9 times out of 10.
	</p>
{:else if !told}
	<p class="mt-2 text-[14px] text-soft">
		Pause when about four fifths of the backing is on, lay the rule across the rims, and type both numbers. An
		early pause tells you little, a late one a lot.
	</p>
{/if}

<h3 class="mt-6 text-[15px] font-semibold">The line is on, and the gap isn't right</h3>
<div class="mt-1 grid grid-cols-[11rem_1fr] items-end gap-5">
	<Field
		label="Gap that you measure"
		value={seen}
		aside={small}
		error={corrected && !corrected.ok ? wordIssue(corrected.issues[0]!, units).message : undefined}
		oninput={(value) => (seen = value)}
	/>
	{#if corrected?.ok}
		{@const { backingChangeMm, turns: change } = corrected.value}
		<p class="text-[16px]" data-correct>
			{#if Math.abs(change) < 1}
				As planned. There is nothing to change.
			{:else}
				{backingChangeMm < 0 ? 'Take off' : 'Add'}
				<strong class="figure">{showLong(Math.abs(backingChangeMm), units)}</strong> of backing,
				<strong class="figure">{showTurns(Math.abs(change / (workout?.gear ?? 1)))}</strong> turns of it.
			{/if}
			{#if corrected.value.surprise}
				<span class="text-warn">That gap is far from what was planned. Measure it again first.</span>
			{/if}
		</p>
	{/if}
</div>
