<script lang="ts">
	import {
		formatNumber,
		LEAVINGS,
		ONTO,
		rangeOf,
		SOURCES,
		timesTurns,
		transferTurns,
		twistVerdict,
		type Transfer,
		type TwistVerdict
	} from '$lib/core';
	import { prefersReducedMotion } from 'svelte/motion';
	import Segmented from '../../primitives/Segmented.svelte';
	import TwistedLine from '../../charts/twist/TwistedLine.svelte';
	import PictureChoice from './PictureChoice.svelte';
	import { LEAVING_PICTURES, ONTO_PICTURES, SOURCE_PICTURES } from './pictures';

	/** One way for the line to travel, and the twist that gives it. */
	interface Props {
		name: string;
		transfer: Transfer;
		onchange: (transfer: Transfer) => void;
	}
	let { name, transfer, onchange }: Props = $props();
	const pictured = <K extends string>(labels: Record<K, string>, pictures: Record<K, string>) =>
		(Object.entries(labels) as [K, string][]).map(([value, label]) => ({
			value,
			label,
			picture: pictures[value]
		}));
	const sourceLabels = Object.fromEntries(
		Object.entries(SOURCES).map(([key, { label }]) => [key, label])
	) as Record<Transfer['source'], string>;

	const turns = $derived(transferTurns(transfer));
	const perMetre = $derived(timesTurns(turns, 1000 / transfer.lengthMm));
	const range = $derived(rangeOf(turns));
	const verdict = $derived(twistVerdict(perMetre.mean));
	const hand = $derived(turns.mean > 0 ? 'right-handed' : 'left-handed');
	/** Without coils, or with a spool that turns, it makes no difference which way they lie. */
	const sided = $derived(
		transfer.source !== 'laid-out' && (transfer.leaving === 'over-side' || transfer.leaving === 'bowl')
	);
	const SAYS: Record<TwistVerdict, string> = {
		none: 'Nothing you would notice.',
		noticed: 'You notice it when the line goes slack.',
		loops: 'It throws loops as soon as it goes slack.'
	};
	const change = (part: Partial<Transfer>): void => onchange({ ...transfer, ...part });
	/** Another source has coils of another size: its usual ones. */
	function changeSource(source: Transfer['source']): void {
		const { diameterMm: _, ...rest } = transfer;
		onchange({ ...rest, source });
	}

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
				data-turns-added>{whole(turns.mean)}</span
			>
			<span class="text-[20px] font-medium">turns{Math.abs(turns.mean) >= 0.5 ? `, ${hand}` : ''}</span>
		</p>
		<p class="figure text-[15px] text-soft">
			{whole(Math.min(Math.abs(range.low), Math.abs(range.high)))}–{whole(
				Math.max(Math.abs(range.low), Math.abs(range.high))
			)} nine times in ten, {fine(perMetre.mean)} a metre
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
	<PictureChoice
		label="It comes from"
		options={pictured(sourceLabels, SOURCE_PICTURES)}
		value={transfer.source}
		onchange={changeSource}
	/>
	{#if transfer.source !== 'laid-out'}
		<PictureChoice
			label="It comes off"
			options={pictured(LEAVINGS, LEAVING_PICTURES)}
			value={transfer.leaving}
			onchange={(leaving) => change({ leaving })}
		/>
	{/if}
	{#if sided}
		<Segmented
			label="Seen from that side it runs round"
			options={[
				{ value: 'clockwise', label: 'clockwise' },
				{ value: 'anticlockwise', label: 'anticlockwise' }
			]}
			value={transfer.seen}
			onchange={(seen) => change({ seen })}
			shown
		/>
	{/if}
	<PictureChoice
		label="It goes"
		options={pictured(ONTO, ONTO_PICTURES)}
		value={transfer.onto}
		onchange={(onto) => change({ onto })}
	/>
</section>
