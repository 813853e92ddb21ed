<script lang="ts">
	import {
		formatNumber,
		rangeOf,
		timesTurns,
		transfersTurns,
		twistVerdict,
		type Transfer,
		type TwistVerdict
	} from '$lib/core';
	import { prefersReducedMotion } from 'svelte/motion';
	import TwistedLine from '../../charts/twist/TwistedLine.svelte';
	import { MOST_LEGS, nextLeg } from '$lib/ui/state/twist-question';
	import TravelLeg from './TravelLeg.svelte';

	/** One way for the line to travel, leg by leg, and the twist that gives it. */
	interface Props {
		name: string;
		legs: readonly Transfer[];
		onchange: (legs: readonly Transfer[]) => void;
	}
	let { name, legs, onchange }: Props = $props();
	const turns = $derived(transfersTurns(legs));
	const perMetre = $derived(timesTurns(turns, 1000 / legs[0]!.lengthMm));
	const range = $derived(rangeOf(turns));
	const verdict = $derived(twistVerdict(perMetre.mean));
	const hand = $derived(turns.mean > 0 ? 'right-handed' : 'left-handed');
	const SAYS: Record<TwistVerdict, string> = {
		none: "You wouldn't notice this.",
		noticed: 'You notice it when the line goes slack.',
		loops: 'It throws loops as soon as it goes slack.'
	};
	/** How much has come off the spool in the picture, 0–1; all of it unless it is played. */
	let off = $state(1);
	let frame = 0;
	const PLAYED_MS = 3500;
	function play(): void {
		cancelAnimationFrame(frame);
		if (prefersReducedMotion.current) return;
		const began = performance.now();
		const next = (now: number): void => {
			off = Math.min((now - began) / PLAYED_MS, 1);
			if (off < 1) frame = requestAnimationFrame(next);
		};
		frame = requestAnimationFrame(next);
	}
	$effect(() => () => cancelAnimationFrame(frame));
	const most = $derived(Math.max(Math.abs(range.low), Math.abs(range.high)));
	/** Not one turn, to what is shown. */
	const none = $derived(Math.abs(turns.mean) < 0.5);
	const whole = (value: number): string => formatNumber(Math.abs(value), 0);
	const fine = (value: number): string => formatNumber(Math.abs(value), 1);
</script>

<section aria-label={name} class="space-y-4 border-t-2 border-ink pt-3" data-way={name}>
	<div class="flex items-baseline justify-between gap-3">
		<h2 class="text-[19px] font-semibold">{name}</h2>
		{#if !prefersReducedMotion.current}
			<button type="button" class="action-quiet" onclick={play}>Show it leaving</button>
		{/if}
	</div>
	<div>
		<p class="figure leading-none">
			<span
				class="text-[56px] font-bold tracking-tighter {verdict === 'none' ? 'px-1 marked' : ''}"
				data-turns-added>{none ? 'none' : whole(turns.mean)}</span
			>
			{#if !none}<span class="text-[20px] font-medium">turns, {hand}</span>{/if}
		</p>
		<p class="figure text-[15px] text-soft">
			{#if most < 0.5}
				no turns of twist
			{:else}
				{whole(Math.min(Math.abs(range.low), Math.abs(range.high)))}–{whole(most)}, 9 times out of 10; {fine(
					perMetre.mean
				)} a metre
			{/if}
		</p>
		<div class="mt-3">
			<TwistedLine
				perMetre={perMetre.mean}
				{off}
				label="{fine(perMetre.mean)} turns a metre{verdict === 'none' ? '' : `, ${hand}`}"
			/>
		</div>
		<p class="mt-1 text-[16px]">
			{SAYS[verdict]}
			{#if verdict !== 'none'}The loops turn like a {hand} screw.{/if}
		</p>
	</div>
	{#each legs as leg, i (i)}
		<TravelLeg
			transfer={leg}
			label={legs.length === 1 ? undefined : i === 0 ? 'First' : 'And then'}
			onchange={(changed) => onchange(legs.with(i, changed))}
			onremove={i > 0 ? () => onchange(legs.toSpliced(i, 1)) : undefined}
		/>
	{/each}
	{#if legs.length < MOST_LEGS}
		<button type="button" class="action-quiet min-h-10" onclick={() => onchange([...legs, nextLeg(legs)])}
			>Then on to something else</button
		>
	{/if}
</section>
