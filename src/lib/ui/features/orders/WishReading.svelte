<script lang="ts">
	import { saidWords } from '$lib/orders/said';
	import type { NamedSpool, Wish } from '$lib/orders/wish';
	import { usePreferences } from '../../state/preferences.svelte';

	/** What Wendle understood of a wish, and what it didn't: marked in the person's own words, with the reason where there is one. */
	let { wish, spool }: { wish: Wish; spool?: NamedSpool | undefined } = $props();
	const preferences = usePreferences();
	const understood = $derived(
		Object.values(wish.said).map((said) => ({ ...saidWords(said, preferences.locale), what: said.what }))
	);
	/** A wish can't turn a reel on the rack round: that is done on Fit. */
	const otherHand = $derived(
		spool && wish.said.hand && wish.said.hand.hand !== spool.hand
			? `${spool.name} is wound by the ${spool.hand} hand on the rack. Change that on Fit.`
			: undefined
	);
</script>

{#if understood.length > 0}
	<dl class="mt-1.5 flex flex-wrap gap-x-4 gap-y-1 text-[15px]" data-understood>
		{#each understood as { what, label, value, note } (what)}
			<div class="flex flex-wrap items-baseline gap-x-1.5">
				<dt class="text-[13px] text-soft">{label}</dt>
				<dd class="figure font-semibold">{value}</dd>
				{#if note}<dd class="text-[13px] text-soft">({note})</dd>{/if}
			</div>
		{/each}
	</dl>
{/if}
{#if wish.notUnderstood.length > 0}
	<div class="mt-1.5 text-[14px] text-warn" data-not-understood>
		<p>Wendle didn't understand the marked words, and leaves them to you:</p>
		<p class="mt-0.5 text-[16px] text-ink">
			{#each wish.stretches as { text, said, why }, i (i)}{#if said === undefined}<mark
						class="bg-transparent font-semibold text-warn underline decoration-wavy underline-offset-4"
						title={why}>{text}</mark
					>{:else}{text}{/if}{/each}
		</p>
		{#each wish.notUnderstood.filter(({ why }) => why !== undefined) as { text, why }, i (i)}
			<p class="mt-0.5">"{text.trim()}": {why}</p>
		{/each}
	</div>
{/if}
{#if otherHand}<p class="mt-1.5 text-[14px] text-warn">{otherHand}</p>{/if}
