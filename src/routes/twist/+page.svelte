<script lang="ts">
	import { goto } from '$app/navigation';
	import {
		formatNumber,
		machineSays,
		MACHINE_SCHOOLS,
		transferTurns,
		twistVerdict,
		type Transfer
	} from '$lib/core';
	import { questionQuery, type TwistQuestion } from '$lib/schema/twist-question';
	import GettingItOut from '$lib/ui/features/twist/GettingItOut.svelte';
	import LengthInput from '$lib/ui/features/twist/LengthInput.svelte';
	import LoopTest from '$lib/ui/features/twist/LoopTest.svelte';
	import TravelWay from '$lib/ui/features/twist/TravelWay.svelte';

	let { data } = $props();
	const question = $derived(data.question);
	const [one, other] = $derived([transferTurns(question.one), transferTurns(question.other)]);
	const better = $derived(Math.abs(one.mean) <= Math.abs(other.mean) ? 'one' : 'other');
	const saved = $derived(Math.abs(Math.abs(one.mean) - Math.abs(other.mean)));
	const worst = $derived(Math.abs(one.mean) > Math.abs(other.mean) ? one.mean : other.mean);
	const verdict = $derived(twistVerdict((1000 * worst) / question.lengthMm));

	function change(part: Partial<TwistQuestion>): void {
		const changed = { ...question, ...part };

		void goto(`?${questionQuery(changed)}`, { replaceState: true, keepFocus: true, noScroll: true });
	}
	const way = (key: 'one' | 'other') => (transfer: Transfer) => change({ [key]: transfer });
</script>

<svelte:head><title>Twist · Wendle</title></svelte:head>

<div class="mx-auto max-w-[1440px] px-4 py-6 sm:px-8">
	<h1 class="text-[26px] leading-tight font-bold tracking-tight">Twist</h1>
	<p class="mt-1 max-w-[64ch]">
		How the line travels from one place to another, and what that does to it. Pulled over the side of a spool
		that stands still it takes a turn for every coil.
	</p>
	<div class="mt-4 flex flex-wrap items-end gap-x-10 gap-y-3">
		<div class="w-44">
			<LengthInput
				label="Length of the line"
				valueMm={question.lengthMm}
				leastMm={100}
				onchange={(lengthMm) =>
					change({
						lengthMm,
						one: { ...question.one, lengthMm },
						other: { ...question.other, lengthMm }
					})}
			/>
		</div>
		<p class="max-w-[60ch] border-l-[3px] border-now pl-3 text-[18px]" aria-live="polite" data-verdict>
			{#if saved < 0.5}
				Both come to the same.
			{:else}
				{better === 'one' ? 'The first way' : 'The second way'} is better, by {formatNumber(saved, 0)} turns.
			{/if}
		</p>
	</div>
	<div class="mt-6 grid gap-x-10 gap-y-8 lg:grid-cols-2">
		<TravelWay name="One way" transfer={question.one} onchange={way('one')} />
		<TravelWay name="Another way" transfer={question.other} onchange={way('other')} />
	</div>
	<p class="mt-6 max-w-[70ch] text-[15px]" data-schools>
		Some say: <q>{MACHINE_SCHOOLS[0]}</q> Others: <q>{MACHINE_SCHOOLS[1]}</q> For what is planned here
		{machineSays(verdict) === 0 ? 'the first have a point' : 'the second are right'}.
	</p>
	<LoopTest />
	<GettingItOut {question} turns={worst} onchange={change} />
</div>
