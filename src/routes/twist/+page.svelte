<script lang="ts">
	import { usePreferences } from '$lib/ui/state/preferences.svelte';
	import {
		formatNumber,
		machineSays,
		MACHINE_TECHNIQUES,
		rangeOf,
		USUAL_GROWTH,
		transfersTurns,
		twistVerdict,
		type Transfer
	} from '$lib/core';
	import { questionQuery, type TwistQuestion } from '$lib/ui/state/twist-question';
	import { showDay } from '$lib/wording/dates';
	import TwistedLine from '$lib/ui/charts/twist/TwistedLine.svelte';
	import GettingItOut from '$lib/ui/features/twist/GettingItOut.svelte';
	import LengthInput from '$lib/ui/features/twist/LengthInput.svelte';
	import LoopTest from '$lib/ui/features/twist/LoopTest.svelte';
	import TravelWay from '$lib/ui/features/twist/TravelWay.svelte';
	import { UrlState } from '$lib/ui/state/url-state.svelte';

	let { data } = $props();
	const preferences = usePreferences();
	const asked = new UrlState<TwistQuestion>(
		() => data.question,
		(changed) => {
			const query = questionQuery(changed);
			if (data.line) query.set('line', data.line.id);
			return `?${query}`;
		}
	);
	const question = $derived(asked.now);
	const [one, other] = $derived([transfersTurns(question.one), transfersTurns(question.other)]);
	const better = $derived(Math.abs(one.mean) <= Math.abs(other.mean) ? 'one' : 'other');
	const saved = $derived(Math.abs(Math.abs(one.mean) - Math.abs(other.mean)));
	const worst = $derived(Math.abs(one.mean) > Math.abs(other.mean) ? one.mean : other.mean);
	const line = $derived(data.line);
	/** Turns to get out: what this line's ledger says, else what the worse way would put in. */
	const turns = $derived(line ? line.turns.mean : worst);
	const verdict = $derived(twistVerdict((1000 * turns) / question.lengthMm));
	const range = $derived(line && rangeOf(line.perMetre));

	const change = (part: Partial<TwistQuestion>): void => void asked.change(part);
	const way = (key: 'one' | 'other') => (legs: readonly Transfer[]) => change({ [key]: legs });
</script>

<svelte:head><title>Twist · Wendle</title></svelte:head>

<div class="mx-auto max-w-[1440px] px-4 py-6 sm:px-8">
	<h1 class="text-[26px] leading-tight font-bold tracking-tight">Twist</h1>
	<p class="mt-1 max-w-[64ch]">
		See what moving a line from one place to another does to it. If you pull it over the side of a spool that
		stands still, each coil puts one turn of twist in.
	</p>
	{#if line && range}
		<section aria-label="This line" class="mt-5 border-t-2 border-ink pt-3" data-this-line>
			<h2 class="text-[19px] font-semibold">
				{line.label}
				<a class="ml-2 text-[15px] font-normal underline" href="/care?thing={encodeURIComponent(line.id)}"
					>its life</a
				>
			</h2>
			<p class="figure mt-1 leading-none">
				<span class="text-[40px] font-bold tracking-tighter"
					>{formatNumber(Math.abs(line.perMetre.mean), 1)}</span
				>
				<span class="text-[18px]"
					>turns a metre now{Math.abs(line.perMetre.mean) < 0.05
						? ''
						: line.perMetre.mean > 0
							? ', right-handed'
							: ', left-handed'}</span
				>
			</p>
			<p class="figure text-[15px] text-soft">
				{formatNumber(range.low, 1)} to {formatNumber(range.high, 1)} 9 times out of 10, left-handed below 0; {line.tested
					? `loop test of ${showDay(line.tested, preferences.locale)}`
					: 'no loop test yet'}. A day out adds about {formatNumber(line.growth.mean, 2)} a metre{line.growth
					.sd < USUAL_GROWTH.sd
					? ', by its loop tests'
					: ', as is usual'}.
			</p>
			<div class="mt-2"><TwistedLine perMetre={line.perMetre.mean} off={1} label="In this line now" /></div>
		</section>
		{@render asItIs()}
		<h2 class="mt-10 border-t-2 border-ink pt-3 text-[19px] font-semibold">Before you move it again</h2>
	{/if}
	<div class="mt-4 flex flex-wrap items-end gap-x-10 gap-y-3">
		<div class="w-44">
			<LengthInput
				label="Length of the line"
				valueMm={question.lengthMm}
				leastMm={100}
				onchange={(lengthMm) =>
					change({
						lengthMm,
						one: question.one.map((leg) => ({ ...leg, lengthMm })),
						other: question.other.map((leg) => ({ ...leg, lengthMm }))
					})}
			/>
		</div>
		<p class="max-w-[60ch] border-l-[3px] border-now pl-3 text-[18px]" aria-live="polite" data-verdict>
			{#if saved < 0.5}
				Both put in the same twist.
			{:else}
				{better === 'one' ? 'The first way' : 'The second way'} is better, by {formatNumber(saved, 0)} turns.
			{/if}
		</p>
	</div>
	<div class="mt-6 grid gap-x-10 gap-y-8 lg:grid-cols-2">
		<TravelWay name="One way" legs={question.one} onchange={way('one')} />
		<TravelWay name="Another way" legs={question.other} onchange={way('other')} />
	</div>
	{#if !line}{@render asItIs()}{/if}
</div>

{#snippet asItIs()}
	<p class="mt-6 max-w-[70ch] text-[15px]" data-schools>
		Some say: <q>{MACHINE_TECHNIQUES[0]}</q> Others: <q>{MACHINE_TECHNIQUES[1]}</q>
		{line ? 'For this line as it is now,' : 'For what is planned here'}
		{machineSays(verdict) === 0 ? 'the first have a point' : 'the others are right'}.
	</p>
	<LoopTest {line} today={data.today} />
	<GettingItOut
		{question}
		{turns}
		wound={line?.wound}
		coiled={line !== undefined && !line.wound}
		onchange={change}
	/>
{/snippet}
