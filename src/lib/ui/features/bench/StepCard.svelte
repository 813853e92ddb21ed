<script lang="ts">
	import { CAUTIONS, type Step } from '$lib/core';
	import TriangleAlert from '@lucide/svelte/icons/triangle-alert';
	import { usePreferences } from '../../state/preferences.svelte';
	import { phraseText, sentence } from './phrase';

	let { step, number, total }: { step: Step; number: number; total: number } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const figure = $derived(step.figure && phraseText(step.figure.value, units));
	const [amount = '', unit = ''] = $derived(figure?.split(' ') ?? []);
</script>

<article aria-labelledby="step-title">
	<p class="figure text-[15px] text-soft">{number} of {total}</p>
	<h2 id="step-title" tabindex="-1" class="text-[34px] leading-[1.1] font-bold tracking-tight sm:text-[42px]">
		{step.title}
	</h2>
	{#if step.figure}
		<div class="mt-5">
			<p class="figure text-[16px] text-soft">{step.figure.label}</p>
			<p class="figure leading-none">
				<span class="px-1 text-[104px] font-bold tracking-tighter marked" data-figure>{amount}</span><span
					class="ml-2 text-[36px] font-medium">{unit}</span
				>
			</p>
			<p class="figure mt-1 text-[22px]">{sentence(step.figure.beside, units)}</p>
		</div>
	{/if}
	<div class="mt-5 max-w-[44ch] space-y-4 text-[28px] leading-[1.28]">
		{#each step.instructions as instruction, i (i)}
			<p>{sentence(instruction, units)}</p>
		{/each}
	</div>
	<p class="mt-6 max-w-[60ch] border-l-[3px] border-line pl-3 text-[19px]">
		<span class="figure font-semibold">Right when:</span>
		{sentence(step.check, units)}
	</p>
	{#each step.cautions as caution (caution)}
		<p class="mt-3 flex max-w-[60ch] gap-2.5 text-[17px]">
			<TriangleAlert size={20} class="mt-0.5 shrink-0 text-warn" aria-label="Caution" />{CAUTIONS[caution]}
		</p>
	{/each}
</article>
