<script lang="ts">
	import { formatFraction, formatNumber, fromMm, ROLE_NAMES } from '$lib/core';
	import {
		longUnit,
		showLong,
		showLongRange,
		showSmall,
		showSmallRange,
		showTurns,
		smallUnit
	} from '$lib/wording/units';
	import type { SetupForm } from '$lib/setup/form';
	import type { Workout } from '$lib/setup/evaluate-form';
	import type { Snippet } from 'svelte';
	import Word from '../../primitives/Word.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import { judgement, measureNext } from './sentence';

	interface Props {
		form: SetupForm;
		workout: Workout;
		stale: boolean;
		/** What to do with them, right behind the judgement. */
		children: Snippet;
	}
	let { form, workout, stale, children }: Props = $props();
	/** Few ask: how it is worked out comes when somebody does. */
	let asked = $state(false);
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const { fit, estimate } = $derived(workout);
	const { ranges } = $derived(estimate);
	const solved = $derived(fit.solved);
	const small = $derived(smallUnit(units));
	const long = $derived(longUnit(units));
	const decimals = $derived(small === 'mm' ? 1 : 2);
	const showsDepth = $derived(fit.fits && solved !== undefined);
	const above = $derived(
		workout.parts
			.map(({ role }, i) => `${showTurns(fit.layers[i]!.turns / workout.gear)} of ${ROLE_NAMES[role]}`)
			.slice(workout.stopIndex + 1)
			.join(', ')
	);
	/** Nothing is looked for: everything on the spool was given, and the gap is the answer. */
	const given = $derived(solved === undefined);
	const stop = $derived(fit.layers[workout.stopIndex]);
	const right = $derived(workout.given);
	const leftWords = (leftMm: number): string =>
		leftMm > 0 ? `leave ${showLong(leftMm, units)} of it off` : `${showLong(-leftMm, units)} more would fit`;
</script>

{#snippet headline(label: string, value: string | undefined, name: string)}
	<h2 class="text-[15px] font-semibold">{label}</h2>
	<p class="figure mt-1 leading-none" data-answer={name}>
		{#if value === undefined}
			<span class="text-[40px] font-bold">no backing</span>
		{:else}
			<span class="px-1 text-[64px] font-bold tracking-tight marked">{value}</span><span
				class="ml-1.5 text-[22px] font-medium">{small}</span
			>
		{/if}
	</p>
{/snippet}

{#snippet row(label: string, value: string, unit: string, note: string, name: string)}
	<div class="grid grid-cols-[1fr_auto] items-baseline border-t border-hair py-2">
		<dt class="figure text-[15px]">{label}</dt>
		<dd class="figure text-[24px] leading-none font-semibold" data-answer={name}>
			{value}<span class="ml-1 text-[15px] font-medium">{unit}</span>
		</dd>
		<dd class="col-span-2 text-[13.5px] text-soft">{note}</dd>
	</div>
{/snippet}

<div class={stale ? 'opacity-45' : ''} aria-live="polite" aria-atomic="true">
	{#if given}
		{@render headline(
			stop ? `Gap with ${showLong(stop.lengthMm, units)} of backing` : 'Gap with all of it on',
			formatNumber(fromMm(fit.gapMm, small), decimals),
			'gap'
		)}
		<p class="mt-1.5 mb-3 text-[13.5px] text-soft">
			{showSmallRange(ranges.gapMm.low, ranges.gapMm.high, units)}, 9 times out of 10; you want
			{showSmall(workout.problem.gapMm, units)}
		</p>
		{#if stop}
			<dl>
				{@render row(
					'Backing',
					formatNumber(fromMm(stop.lengthMm, long), 0),
					long,
					right ? leftWords(right.leftMm) : 'as you gave it',
					'length'
				)}
				{@render row(
					'Handle turns',
					showTurns(stop.turns / workout.gear),
					'',
					above ? `then ${above}` : '',
					'turns'
				)}
				{@render row(
					'Backing ends',
					formatNumber(fromMm(stop.depthMm, small), decimals),
					small,
					right && right.leftMm > 0 && right.lengthMm > 0
						? `below the rim with all of it on; ${showSmall(right.stopDepthMm, units)} leaves the gap you want`
						: 'below the rim',
					'stop-depth'
				)}
			</dl>
		{/if}
	{:else}
		{@render headline(
			'Stop winding backing at',
			showsDepth ? formatNumber(fromMm(solved!.stopDepthMm, small), decimals) : undefined,
			'stop-depth'
		)}
		<p class="mt-1.5 mb-3 text-[13.5px] text-soft">
			{#if showsDepth}
				{small === 'in' ? `${formatFraction(solved!.stopDepthMm)} on a rule, below` : 'below'} the <Word
					term="rim">rim</Word
				>, {showSmallRange(ranges.stopDepthMm.low, ranges.stopDepthMm.high, units)}, with any <Word
					term="backing">backing</Word
				>
			{:else}
				the line alone fills this spool past the gap you want
			{/if}
		</p>
		<dl>
			{@render row(
				'Backing that goes on',
				formatNumber(fromMm(solved?.lengthMm ?? 0, long), 0),
				long,
				showsDepth
					? `${showLongRange(ranges.lengthMm.low, ranges.lengthMm.high, units)}, 9 times out of 10`
					: 'none fits',
				'length'
			)}
			{@render row(
				'Handle turns',
				showTurns((solved?.turns ?? 0) / workout.gear),
				'',
				showsDepth
					? `${showTurns(ranges.turns.low / workout.gear)}–${showTurns(ranges.turns.high / workout.gear)}${above ? `, then ${above}` : ''}`
					: above,
				'turns'
			)}
			{@render row(
				'Gap when done',
				formatNumber(fromMm(fit.gapMm, small), decimals),
				small,
				showsDepth
					? `${showSmallRange(ranges.gapMm.low, ranges.gapMm.high, units)} if you stop by depth, ${showSmallRange(ranges.gapByLengthMm.low, ranges.gapByLengthMm.high, units)} by length`
					: showSmallRange(ranges.gapMm.low, ranges.gapMm.high, units),
				'gap'
			)}
		</dl>
	{/if}
	{#if showsDepth}
		<div class="mb-2 min-h-5">
			{#await import('./ToBuy.svelte') then { default: ToBuy }}<ToBuy {form} {workout} />{/await}
		</div>
	{/if}
	<p class="border-l-[3px] border-now py-0.5 pl-3 text-[16.5px] leading-snug" data-answer="judgement">
		{judgement(workout, units)}
	</p>
	{@render children()}
	{#if measureNext(workout)}
		<p class="mt-3 text-[13.5px] text-soft">{measureNext(workout)}</p>
	{/if}
	<details class="mt-4 text-[14.5px]" data-how bind:open={asked}>
		<summary class="cursor-pointer py-1 text-soft">How is this worked out?</summary>
		{#if asked}
			{#await import('./HowWorkedOut.svelte') then { default: HowWorkedOut }}
				<HowWorkedOut {workout} />
			{/await}
		{/if}
	</details>
</div>
