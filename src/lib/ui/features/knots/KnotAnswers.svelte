<script lang="ts">
	import { chooseKnot, findDescribed, findKnot, type KnotAnswer, type KnotSituation } from '$lib/core';
	import ArborHold from './ArborHold.svelte';
	import KnotPicture from './KnotPicture.svelte';

	/** The knots for a place, the best first, with their reasons; what cannot be tied last, with what is missing. */
	let { situation }: { situation: KnotSituation } = $props();
	const answers = $derived(chooseKnot(situation));
	const can = $derived(answers.filter(({ lacks }) => lacks === undefined));
	const cannot = $derived(answers.filter(({ lacks }) => lacks !== undefined));
	const [first, ...others] = $derived(can);
	const onArbor = $derived(situation.place === 'arbor');

	const named = ({ slug }: KnotAnswer): string => (findKnot(slug) ?? findDescribed(slug))!.name;
	function taken({ slug, wraps }: KnotAnswer): string {
		const knot = findKnot(slug);
		return knot && knot.wraps.most > knot.wraps.least ? `${wraps} ${knot.wraps.noun}` : '';
	}
	const href = ({ slug, wraps }: KnotAnswer): string => `/knots/${slug}?wraps=${wraps}`;
</script>

{#snippet reasons({ why, against }: KnotAnswer)}
	<ul class="space-y-0.5 text-[15px]">
		{#each why as reason (reason)}<li><span class="figure mr-1.5">+</span>{reason}</li>{/each}
		{#each against as reason (reason)}
			<li class="text-soft"><span class="figure mr-1.5">&minus;</span>{reason}</li>
		{/each}
	</ul>
{/snippet}

<div aria-live="polite">
	{#if first}
		{@const knot = findKnot(first.slug)}
		<a href={href(first)} class="group block" data-answer={first.slug}>
			{#if knot}
				<span class="block h-52 border-b border-hair bg-paper p-3"
					><KnotPicture {knot} wraps={first.wraps} /></span
				>
			{/if}
			<span class="mt-2 block text-[26px] leading-tight font-bold tracking-tight">
				<span class="px-1 marked group-hover:underline">{named(first)}</span>
				<span class="figure ml-1 text-[19px] font-medium">{taken(first)}</span>
			</span>
		</a>
		<div class="mt-2 max-w-[60ch]">{@render reasons(first)}</div>
	{:else}
		<p class="max-w-[60ch] text-[19px]">
			You can't tie anything here with the tools you have. What is missing is below.
		</p>
	{/if}
	{#if onArbor}<ArborHold
			grip={situation.arbor !== 'bare' ? 'on-bed' : situation.slick ? 'thin-bare' : 'braid-bare'}
		/>{/if}
	{#if others.length > 0}
		<h3 class="mt-6 text-[15px] font-semibold">These work too, best first</h3>
		<ul class="mt-1 grid gap-x-8 sm:grid-cols-2">
			{#each others as answer (answer.slug)}
				<li class="border-t border-hair py-2">
					<a href={href(answer)} class="text-[17px] font-semibold hover:underline">{named(answer)}</a>
					<span class="figure text-[14px] text-soft">{taken(answer)}</span>
					{@render reasons(answer)}
				</li>
			{/each}
		</ul>
	{/if}
	{#if cannot.length > 0}
		<h3 class="mt-6 text-[15px] font-semibold">Needs tools you don't have</h3>
		<ul class="mt-1 text-[15px]" data-cannot>
			{#each cannot as answer (answer.slug)}
				<li class="border-t border-hair py-1.5">
					<a href={href(answer)} class="hover:underline">{named(answer)}</a>
					<span class="text-soft">{answer.lacks}</span>
				</li>
			{/each}
		</ul>
	{/if}
	<p class="mt-3 text-[13.5px] text-soft">This is common practice. The order is Wendle's judgement.</p>
</div>
