<script lang="ts">
	import type { CounterLink } from '../../../state/counter-link.svelte';
	import { useHandsBusy, type CountingWay } from '../../../state/hands-busy.svelte';
	import { usePreferences } from '../../../state/preferences.svelte';
	import type { Run } from '../../../state/run.svelte';
	import Segmented from '../../../primitives/Segmented.svelte';
	import { formatFraction, ROLE_NAMES } from '$lib/core';
	import {
		showLong,
		showOnRule,
		showRetrieve,
		showSmall,
		showSmallRange,
		showTurns
	} from '$lib/wording/units';
	import type { WindingState } from '../winding.svelte';
	import CounterWay from './CounterWay.svelte';
	import { countingKeys } from './counting-keys';
	import LinkState from './LinkState.svelte';
	import PaceWay from './PaceWay.svelte';
	import Pause from './Pause.svelte';
	import Readings from '../Readings.svelte';
	import ScaleWay from './ScaleWay.svelte';
	import Spans from '../Spans.svelte';
	import Surprise from '../Surprise.svelte';
	import TapWay from './TapWay.svelte';
	import Traverse from './Traverse.svelte';
	import TurningSpool from './TurningSpool.svelte';

	/** Counts the turns of one part: how many are on, how many are left, how deep it should stand, where it should lie. */
	interface Props {
		run: Run;
		winding: WindingState;
		link: CounterLink;
		hand: 'left' | 'right';
	}
	let { run, winding, link, hand }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const hands = useHandsBusy();

	const WAYS = [
		{ value: 'tap', label: 'Tap' },
		{ value: 'pace', label: 'Pace' },
		{ value: 'counter', label: 'Counter' },
		{ value: 'scale', label: 'Scale' },
		{ value: 'none', label: 'No count' }
	] as const satisfies readonly { value: CountingWay; label: string }[];
	const way = $derived(hands.get('way'));

	const stopDepth = $derived(showSmall(winding.stopDepthMm, units));
	const [stopAmount = '', stopUnit = ''] = $derived(stopDepth.split(' '));

	// Said once, when the count gets there; not when the page opens on a count that is there already.
	let before: { part: string; stage: WindingState['stage'] } | undefined;
	$effect(() => {
		const { stage, part } = winding;
		const moved = before?.part === part.id && before.stage !== stage;
		before = { part: part.id, stage };
		if (!moved || stage === 'on') return;
		hands.sound(stage);
		hands.say(
			stage === 'stop'
				? winding.toDepth
					? `Stop and measure: ${stopDepth} below the rim.`
					: 'All of it is on the spool.'
				: `${showTurns(winding.left)} turns to go.`
		);
	});

	const onkeydown = countingKeys(
		() => run,
		() => winding,
		hands
	);
</script>

<svelte:window {onkeydown} />

<section
	class="mt-4 border-t-2 border-ink pt-3"
	aria-label="Counter of the {ROLE_NAMES[winding.part.role]}"
	data-counter={winding.part.id}
	data-stage={winding.stage}
>
	<div class="flex flex-wrap items-end gap-x-8 gap-y-2">
		{#if way === 'none' && winding.toDepth}
			<div>
				<p class="figure text-[16px] text-soft">stop at this depth</p>
				<p class="figure leading-none">
					<span class="px-1 text-[112px] font-bold tracking-tighter marked" data-figure>{stopAmount}</span
					><span class="ml-2 text-[36px] font-medium"
						>{stopUnit}{#if stopUnit === 'in'}, {formatFraction(winding.stopDepthMm)} on a rule{/if}</span
					>
				</p>
			</div>
		{:else}
			<div class={winding.stage === 'stop' ? 'bg-warn px-3 pb-1 text-paper' : ''}>
				<p class="figure text-[16px] {winding.stage === 'stop' ? '' : 'text-soft'}">
					{winding.left < -0.5 ? 'too many by' : 'turns to go'}
				</p>
				<p class="figure text-[112px] leading-[0.95] font-bold tracking-tighter" data-left>
					<span class={winding.stage === 'near' ? 'px-1 marked' : ''}
						>{winding.placed ? showTurns(Math.abs(winding.left)) : '?'}</span
					>
				</p>
			</div>
			<div>
				<p class="figure text-[16px] text-soft">{winding.lost ? 'turns on, about' : 'turns on'}</p>
				<p class="figure text-[64px] leading-none font-bold" data-turns>
					{winding.placed ? showTurns(winding.turns) : '?'}
				</p>
			</div>
		{/if}
		{#if winding.placed}
			<div class="self-center max-xl:hidden"><TurningSpool turns={winding.turns} {hand} /></div>
		{/if}
		<dl class="figure grid grid-cols-[auto_auto] gap-x-3 text-[19px] leading-snug">
			{#if winding.toDepth}
				<dt class="text-soft">Stop at</dt>
				<dd>
					<span class="px-1 font-semibold marked" data-stop>{showOnRule(winding.stopDepthMm, units)}</span> below
					the rim
				</dd>
			{/if}
			<dt class="text-soft">Depth now</dt>
			<dd data-depth>{showSmall(winding.depthMm, units)} below the rim</dd>
			<dt class="text-soft">Wound on</dt>
			<dd data-length>{showLong(winding.lengthMm, units)}<Spans mm={winding.lengthMm} /></dd>
			{#if winding.gap && winding.placed}
				<dt class="text-soft">Gap at the end</dt>
				<dd data-gap>
					{showSmall(winding.gap.value, units)}
					({showSmallRange(winding.gap.range.low, winding.gap.range.high, units)})
				</dd>
			{/if}
			<dt class="text-soft">Per turn</dt>
			<dd>{showRetrieve(winding.now.retrieveMm * winding.gear, units)}</dd>
		</dl>
	</div>
	<p
		class="figure mt-2 min-h-7 text-[19px] font-semibold {winding.stage === 'stop' ? 'text-warn' : ''}"
		role="status"
	>
		{#if winding.stage === 'stop'}
			{winding.toDepth
				? `Stop and measure: ${stopDepth} below the rim. The depth decides.`
				: 'All of it should be on the spool.'}
		{:else if winding.stage === 'near'}
			<span class="px-1 marked">Nearly there: slow down.</span>
		{/if}
	</p>

	<Surprise {winding} />
	<Traverse {winding} />

	<div class="mt-4 max-w-xl">
		<Segmented
			label="Way of counting"
			options={WAYS}
			value={way}
			onchange={(value) => hands.set('way', value)}
		/>
	</div>
	<div class="mt-3">
		{#if way === 'tap'}
			<TapWay {run} {winding} />
		{:else if way === 'pace'}
			<PaceWay {winding} />
		{:else if way === 'counter'}
			<CounterWay {link} geared={winding.gear !== 1} />
		{:else if way === 'scale'}
			<ScaleWay {winding} />
		{:else}
			<p class="max-w-[60ch] text-[17px]">
				Wind, and lay a rule across the rims now and then. {winding.toDepth
					? 'You only need the depth. The turns tell you when to start measuring.'
					: 'Wind on all of it.'}
			</p>
		{/if}
	</div>
	{#if way === 'counter' || link.state !== 'off'}<LinkState {link} />{/if}
	<Pause {winding} sync={run.sync} />
	<Readings {winding} />
</section>
