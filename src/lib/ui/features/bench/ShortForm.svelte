<script lang="ts">
	import { ROLE_NAMES, withUnit } from '$lib/core';
	import { knotsOf } from '$lib/bench/job';
	import type { Workout } from '$lib/setup/evaluate-form';
	import { showLong, showOnRule, showSmall, showTurns, smallUnit } from '$lib/wording/units';
	import Field from '../../primitives/Field.svelte';
	import CutFrom from './CutFrom.svelte';
	import { useHandsBusy } from '../../state/hands-busy.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { Run } from '../../state/run.svelte';
	import { countingKeys } from './counting/counting-keys';
	import TapWay from './counting/TapWay.svelte';
	import { WindingDraft, type Finished } from './winding-draft.svelte';
	import { WindingState } from './winding.svelte';

	/** A winding on one screen, for people who wind every day: where to stop, the count, the knots, the gap, and saving it. */
	interface Props extends Finished {
		/** The run that counts. */
		counting: Run;
		workout: Workout;
		/** Everyone who has wound here. */
		winders: readonly string[];
	}
	let { counting, workout, winders, ...finished }: Props = $props();
	const preferences = usePreferences();
	const hands = useHandsBusy();
	const units = $derived(preferences.units);
	const unit = $derived(smallUnit(units));
	// The bench is made anew for another job.
	// svelte-ignore state_referenced_locally
	const winding = new WindingState(
		counting,
		() => workout,
		() => Math.max(workout.stopIndex, 0)
	);
	const draft = new WindingDraft(() => finished, preferences);
	const form = $derived(draft.form);
	/** The backing is wound now: in a swap it stays as it lies. */
	const counts = $derived(draft.asksBacking && winding.toDepth);
	const knots = $derived(knotsOf(finished.job));
	const onkeydown = countingKeys(
		() => counting,
		() => winding,
		hands
	);
	const [stopAmount = '', ...stopUnit] = $derived(showSmall(winding.stopDepthMm, units).split(' '));
</script>

<svelte:window onkeydown={(event) => counts && onkeydown(event)} />

<form
	class="grid gap-x-12 gap-y-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,24rem)]"
	aria-label="Winding on one screen"
	novalidate
	data-short
	onsubmit={(event) => {
		event.preventDefault();
		void draft.save();
	}}
>
	<div class="min-w-0">
		{#if counts}
			<div class="flex flex-wrap items-end gap-x-10 gap-y-3">
				<div>
					<p class="figure text-[16px] text-soft">stop at this depth</p>
					<p class="figure leading-none" data-stop>
						<span class="px-1 text-[72px] font-bold tracking-tighter marked sm:text-[96px]">{stopAmount}</span
						><span class="ml-2 text-[28px] font-medium">{stopUnit.join(' ')}</span>
					</p>
					{#if unit === 'in'}<p class="figure text-[16px]">
							{showOnRule(winding.stopDepthMm, units)} on a rule
						</p>{/if}
				</div>
				<div>
					<p class="figure text-[16px] text-soft">{winding.left < -0.5 ? 'too many by' : 'turns to go'}</p>
					<p
						class="figure text-[56px] leading-none font-bold {winding.stage === 'stop' ? 'text-warn' : ''}"
						data-left
					>
						{winding.placed ? showTurns(Math.abs(winding.left)) : '?'}
					</p>
				</div>
				<div>
					<p class="figure text-[16px] text-soft">turns on</p>
					<p class="figure text-[56px] leading-none font-bold" data-turns>
						{winding.placed ? showTurns(winding.turns) : '?'}
					</p>
				</div>
			</div>
			<div class="mt-4"><TapWay run={counting} {winding} /></div>
		{/if}
		<table class="figure mt-5 w-full border-collapse text-left text-[17px]">
			<caption class="sr-only">What goes on, from the arbor outward, and how each is tied on</caption>
			<thead>
				<tr class="text-[13px] text-soft">
					<th class="pr-4 font-normal">Goes on</th><th class="pr-4 font-normal">length</th>
					<th class="pr-4 font-normal">turns</th><th class="font-normal">tied on with</th>
				</tr>
			</thead>
			<tbody>
				{#each finished.job.parts as part, i (part.id)}
					<tr class="border-t border-hair align-baseline">
						<th class="py-1 pr-4 font-semibold" scope="row">{part.label ?? ROLE_NAMES[part.role]}</th>
						<td class="py-1 pr-4 whitespace-nowrap">{showLong(part.lengthMm, units)}</td>
						<td class="py-1 pr-4">{showTurns(part.turns)}</td>
						<td class="py-1">{knots[i]?.replace(/^[^:]*: /, '')}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	<div class="min-w-0 space-y-4">
		{#if counts}
			<Field
				label="Turns of backing"
				inputmode="numeric"
				value={form.turns}
				placeholder="planned {showTurns(finished.job.plan.turns)}"
				error={draft.error('turns')}
				oninput={(value) => draft.set('turns', value)}
			/>
			<Field
				label="Depth of the backing"
				value={form.depth}
				placeholder="stop at {showSmall(winding.stopDepthMm, units)}"
				error={draft.error('depth')}
				oninput={(value) => draft.set('depth', value)}
				oncommit={(value) => draft.set('depth', withUnit(value, unit))}
			/>
		{/if}
		<Field
			label="Gap with the line on"
			value={form.gap}
			placeholder="planned {showSmall(workout.fit.gapMm, units)}"
			error={draft.error('gap')}
			oninput={(value) => draft.set('gap', value)}
			oncommit={(value) => draft.set('gap', withUnit(value, unit))}
		/>
		<Field
			label="Wound by"
			value={form.who}
			maxlength={60}
			list="winders-short"
			error={draft.error('who')}
			oninput={(value) => draft.set('who', value)}
		/>
		<datalist id="winders-short">
			{#each winders as name (name)}<option value={name}></option>{/each}
		</datalist>
		<CutFrom
			choices={finished.cuts}
			from={draft.cutFrom}
			onchange={(part, source) => draft.setCutFrom(part, source)}
		/>
		{#if draft.trouble}<p role="alert" class="text-[16px] text-warn">{draft.trouble}</p>{/if}
		<button type="submit" class="action min-h-14 px-6 text-[19px]" disabled={draft.busy}
			>Put it on the rack</button
		>
		<p class="text-[14px] text-soft">
			Leave blank what you didn't measure. Pull every knot tight and test it before you wind over it.
		</p>
	</div>
</form>
