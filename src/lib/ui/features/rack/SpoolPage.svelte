<script lang="ts">
	import { keys, MENDS, remedySign } from '$lib/core';
	import { STANDING_REMEDIES } from '$lib/bench/standing';
	import type { Winding } from '$lib/inventory/winding';
	import { showDay } from '$lib/wording/dates';
	import { showLong, showSmall } from '$lib/wording/units';
	import SpoolGlyph from '../../charts/section/SpoolGlyph.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import ThreadRow from '../paper/ThreadRow.svelte';
	import type { RackData } from './entry';
	import { worded, type Fact, type RackEntry } from './shown';

	/** A reel as it is: what is on it, its label and its history, and what can be done with it. */
	interface Props {
		spool: RackData;
		entry: RackEntry<Fact>;
		/** The newest first. */
		windings: readonly Winding[];
		/** How much is overdue on it. */
		due: number;
	}
	let { spool, entry: given, windings, due }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const entry = $derived(worded(given, units));
	const wound = $derived(spool.wound);
	/** Everything that was wound is still there, so it can be put right where it stands. */
	const whole = $derived(wound !== undefined && spool.still === wound.form.fill.stack.length);
	/** As large as fits, and still to scale. */
	const scale = $derived(entry.drawing ? Math.min(5.2, 430 / (2 * entry.drawing.spool.rimRadiusMm)) : 1);
	const link = 'underline underline-offset-4';

	const told = ({ backingMm, backingMeasured, gapMm, typed }: Winding): string =>
		[
			`${backingMeasured ? '' : 'about '}${showLong(backingMm, units)} of backing`,
			gapMm === null ? 'gap not measured' : `gap ${showSmall(gapMm, units)}`,
			...(typed.who ? [`by ${typed.who}`] : [])
		].join(', ');
</script>

<div class="mx-auto max-w-[1440px] px-4 pb-12 sm:px-8">
	<h1 class="pt-5 text-[26px] leading-tight font-bold tracking-tight">{entry.name}</h1>
	<p class="figure text-[15px] text-soft">
		{entry.hand}-hand wind{#if entry.woundOn}, wound {showDay(entry.woundOn, preferences.locale)}{:else}, not
			wound yet{/if}
	</p>
	{#if entry.strands}
		<div class="mt-3 border-b border-hair pb-3"><ThreadRow strands={entry.strands} /></div>
	{/if}
	<div class="mt-5 grid gap-x-10 gap-y-8 lg:grid-cols-[auto_minmax(0,1fr)_minmax(0,1fr)]">
		{#if entry.drawing}
			<figure class="self-start justify-self-center border-b-[3px] border-ink px-4">
				<SpoolGlyph {...entry.drawing} {scale} />
			</figure>
		{/if}
		<section aria-label="On it now">
			<h2 class="text-[15px] font-semibold">On it now</h2>
			<ul class="figure mt-1 text-[21px] leading-snug font-medium" data-on-it>
				{#each entry.facts as fact (fact)}<li>{fact}</li>{/each}
			</ul>
			{#if due > 0}
				<p class="mt-2">
					<a class="{link} font-semibold" href="/care?spool={spool.id}"
						>{due === 1 ? '1 job is due' : `${due} jobs are due`}</a
					>
				</p>
			{/if}
			<div class="mt-5 flex flex-wrap gap-3">
				{#if entry.job && entry.job.done > 0}
					<a class="action" href={entry.job.href}>Carry on at the bench</a>
				{:else if entry.swaps}
					<a class="action" href="/swap?spool={spool.id}">Change what's on it</a>
				{:else if entry.job}
					<a class="action" href={entry.job.href}>To the bench</a>
				{/if}
				{#if wound}<a class="action-quiet min-h-11" href="/label/{wound.id}">Print its label</a>{/if}
			</div>
			<p class="mt-4 flex flex-wrap gap-x-5 gap-y-1 text-[15px]">
				{#if spool.setupId !== undefined}<a class={link} href="/fit/{spool.setupId}">Open its set-up</a>{/if}
				<a class={link} href="/fit/new?spool={spool.id}">Plan something else for it</a>
				<a class={link} href="/care?spool={spool.id}">Its care</a>
				<a class={link} href="/learnt">What Wendle has learnt of it</a>
			</p>
		</section>
		<div class="space-y-8">
			{#if wound && whole}
				<section aria-label="Something is wrong with it">
					<h2 class="text-[15px] font-semibold">Is something wrong with it?</h2>
					<ul class="mt-1 border-t border-hair">
						{#each STANDING_REMEDIES as key (key)}
							<li class="border-b border-hair">
								<a
									class="flex min-h-10 items-center text-[15.5px] hover:underline"
									href="/bench/{wound.setupId}?job=wind&wrong={key}">{remedySign(key)}</a
								>
							</li>
						{/each}
					</ul>
				</section>
			{/if}
			{#if wound && whole}
				<section aria-label="On the water">
					<h2 class="text-[15px] font-semibold">On the water</h2>
					<ul class="mt-1 border-t border-hair">
						<li class="border-b border-hair">
							<a
								class="flex min-h-10 items-center text-[15.5px] hover:underline"
								href="/bench/{wound.setupId}?job=outing">Before the first cast</a
							>
						</li>
						{#each keys(MENDS) as key (key)}
							<li class="border-b border-hair">
								<a
									class="flex min-h-10 items-center text-[15.5px] hover:underline"
									href="/bench/{wound.setupId}?job=repair.{key}">{MENDS[key].sign}</a
								>
							</li>
						{/each}
					</ul>
				</section>
			{/if}
			<section aria-label="Its history">
				<h2 class="text-[15px] font-semibold">Its history</h2>
				{#if windings.length === 0}
					<p class="mt-1 text-soft">Nothing has been wound on it yet.</p>
				{:else}
					<ol class="mt-1 border-t border-hair" data-history>
						{#each windings as winding (winding.id)}
							<li class="border-b border-hair py-1.5 text-[15px]">
								<a class={link} href="/bench/{winding.setupId}/past"
									>{showDay(winding.woundOn, preferences.locale)}</a
								>: {told(winding)}
							</li>
						{/each}
					</ol>
				{/if}
			</section>
		</div>
	</div>
</div>
