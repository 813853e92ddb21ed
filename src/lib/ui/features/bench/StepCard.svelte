<script lang="ts">
	import { CAUTIONS, type Step } from '$lib/core';
	import TriangleAlert from '@lucide/svelte/icons/triangle-alert';
	import type { Snippet } from 'svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import { withMeanings } from '$lib/wording/meanings';
	import { phraseText, sentence, showDuration } from '$lib/wording/phrase';
	import Spans from './Spans.svelte';
	import Prose from '../../primitives/Prose.svelte';

	interface Props {
		step: Step;
		number: number;
		total: number;
		seconds: number;
		/** What is done here besides reading: the counter, the list of tools. It stands before the words. */
		children?: Snippet | undefined;
	}
	let { step, number, total, seconds, children }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const figure = $derived(step.figure && phraseText(step.figure.value, units));
	const [amount = '', unit = ''] = $derived(figure?.split(' ') ?? []);
	/** Read in this order, so each word of the trade has its meaning where it first appears. */
	const texts = $derived(
		withMeanings([
			...step.instructions.map((instruction) => sentence(instruction, units)),
			sentence(step.right, units),
			sentence(step.wrong, units),
			sentence(step.then, units)
		])
	);
	const [right = [], wrong = [], then = []] = $derived(texts.slice(step.instructions.length));
	const longMm = $derived(
		typeof step.figure?.value === 'object' && 'longMm' in step.figure.value
			? step.figure.value.longMm
			: undefined
	);
	const counts = $derived(step.kind === 'wind');
	/** A knot that is tied another way here than it is drawn is left to the words. */
	const drawn = $derived((step.knots ?? []).filter(({ unlike }) => !unlike));
</script>

<article aria-labelledby="step-title">
	<p class="figure text-[15px] text-soft">{number} of {total}, about {showDuration(seconds)}</p>
	<h2
		id="step-title"
		tabindex="-1"
		class="leading-[1.1] font-bold tracking-tight {counts
			? 'text-[28px] sm:text-[32px]'
			: 'text-[34px] sm:text-[42px]'}"
	>
		{step.title}
	</h2>
	{#if step.figure && !counts}
		<div class="mt-5">
			<p class="figure text-[16px] text-soft">{step.figure.label}</p>
			<p class="figure leading-none">
				<span class="px-1 text-[104px] font-bold tracking-tighter marked" data-figure>{amount}</span><span
					class="ml-2 text-[36px] font-medium">{unit}</span
				>
			</p>
			{#if step.figure.beside.length > 0}
				<p class="figure mt-1 text-[22px]">
					{sentence(step.figure.beside, units)}{#if longMm !== undefined}<Spans mm={longMm} />{/if}
				</p>
			{/if}
		</div>
	{/if}
	{@render children?.()}
	{#if drawn.length > 0}
		{#await import('./StepKnot.svelte') then { default: StepKnot }}
			<div class="mt-4 flex flex-wrap gap-4">
				{#each drawn as { slug, wraps, as } (slug)}<StepKnot {slug} {wraps} {as} />{/each}
			</div>
		{/await}
	{/if}
	<div class="mt-5 max-w-[44ch] space-y-4 text-[28px] leading-[1.28]">
		{#each texts.slice(0, step.instructions.length) as pieces, i (i)}
			<p><Prose {pieces} /></p>
		{/each}
	</div>
	{#each step.cautions as caution (caution)}
		<p class="mt-4 flex max-w-[60ch] gap-2.5 text-[19px]">
			<TriangleAlert size={22} class="mt-0.5 shrink-0 text-warn" aria-label="Caution" />{CAUTIONS[caution]}
		</p>
	{/each}
	<dl class="mt-6 max-w-[64ch] space-y-2 border-l-[3px] border-line pl-3 text-[19px]">
		<div>
			<dt class="figure inline font-semibold">Right:</dt>
			<dd class="inline"><Prose pieces={right} /></dd>
		</div>
		<div>
			<dt class="figure inline font-semibold">Wrong:</dt>
			<dd class="inline">
				<Prose pieces={wrong} /> <span class="text-soft">Then:</span>
				<Prose pieces={then} />
			</dd>
		</div>
	</dl>
</article>
