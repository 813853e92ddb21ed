<script lang="ts">
	import { dayOf } from '$lib/core';
	import { showDay } from '$lib/wording/dates';
	import { writeLay } from '$lib/setup/read-text';
	import type { HandSummary } from '$lib/inventory/hand';
	import Field from '../../../primitives/Field.svelte';
	import { hands as answer } from '../../../state/answers';
	import { send } from '../../../state/api';
	import { rememberChange } from '../../../state/undo.svelte';
	import { usePreferences } from '../../../state/preferences.svelte';
	import type { FitState } from '../fit-state.svelte';
	import { refreshAll } from '../../../state/refresh';

	/** How tightly this person winds this backing, learnt from the windings on the rack. */
	let { fit }: { fit: FitState } = $props();
	const preferences = usePreferences();
	let hands = $state.raw<readonly HandSummary[]>();
	void send('GET', '/api/hands', undefined, { answer }).then((reply) => {
		if (reply.kind === 'ok') hands = reply.value.hands;
	});

	const hand = $derived(
		hands?.find(
			({ winding, material }) => winding === fit.form.fill.winding && material === fit.workout?.material?.slug
		)
	);
	const counting = $derived(hand?.fills.filter(({ counts }) => counts).length ?? 0);

	/** One scale for all: lays from loose to as dense as strands can lie. */
	const [LOW, HIGH] = [0.6, 1.15];
	const at = (lay: number): number => (100 * (Math.min(Math.max(lay, LOW), HIGH) - LOW)) / (HIGH - LOW);
	/** Nine times in ten. */
	const bar = ({ layEfficiency, share }: { layEfficiency: number; share: number }): string => {
		const half = 1.645 * share * layEfficiency;
		const left = at(layEfficiency - half);
		return `left: ${left}%; width: ${at(layEfficiency + half) - left}%`;
	};

	async function forget(forget: boolean): Promise<void> {
		if (!hand) return;
		const { winding, material } = hand;
		const reply = await send('PUT', '/api/hands', { winding, material, forget }, { answer });
		if (reply.kind !== 'ok') return;
		hands = reply.value.hands;
		rememberChange({
			said: forget ? 'Earlier windings are left out.' : 'Earlier windings count again.',
			undo: () => send('PUT', '/api/hands', { winding, material, forget: !forget }, { answer }),
			stays: 'They are as you set them',
			refresh: refreshAll
		});
		// The answers start from what is learnt now.
		await refreshAll();
	}
</script>

{#snippet row(label: string, lay: { layEfficiency: number; share: number }, shade: string)}
	<li class="grid grid-cols-[11rem_1fr_6.5rem] items-center gap-3 text-[14px]">
		<span class="truncate">{label}</span>
		<span class="relative h-3 border-x border-hair">
			<span class="absolute inset-y-1 {shade}" style={bar(lay)}></span>
			<span class="absolute inset-y-0 w-0.5 bg-ink" style="left: {at(lay.layEfficiency)}%"></span>
		</span>
		<span class="figure text-right">{writeLay(lay)}</span>
	</li>
{/snippet}

<h3 class="mt-5 text-[15px] font-semibold">How tightly you wind</h3>
<div class="mt-1 grid grid-cols-[11rem_1fr] items-end gap-5">
	<Field
		label="Your own figure"
		value={fit.form.fill.lay}
		placeholder="as learnt"
		aside=""
		error={fit.error('fill', 'lay')}
		oninput={(value) => fit.change(({ fill }) => (fill.lay = value))}
	/>
	<p class="text-[13.5px] text-soft">
		Leave this blank to use what Wendle has learnt from your windings. Or type a share of perfectly square
		winding, such as <q>0.86 ± 3 %</q>.
	</p>
</div>
{#if hand}
	<ul class="mt-2 space-y-1" data-hand>
		{@render row('before any winding', hand.prior, 'bg-hair')}
		{#each hand.fills as fill (fill.recordId)}
			<li class={fill.counts ? '' : 'opacity-40'}>
				<ul>
					{@render row(
						`${fill.spool}, ${showDay(dayOf(fill.woundOn), preferences.locale)}`,
						fill,
						'bg-backing/60'
					)}
				</ul>
			</li>
		{/each}
		{@render row(`after ${counting} ${counting === 1 ? 'winding' : 'windings'}`, hand.posterior, 'bg-now')}
	</ul>
	<div class="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2">
		<button type="button" class="action-quiet" onclick={() => forget(counting > 0)}
			>{counting > 0 ? 'Leave these windings out' : 'Count these windings again'}</button
		>
		<a class="text-[14px] underline" href="/learnt">What Wendle has learnt</a>
	</div>
{:else if hands}
	<p class="mt-1 text-[13.5px] text-soft">
		Wendle learns this when you save the turns and the depth of a winding with this backing.
	</p>
{/if}
