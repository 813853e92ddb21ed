<script lang="ts">
	import { writeLay } from '$lib/setup/read-text';
	import type { HandSummary } from '$lib/inventory/hand';
	import Field from '../../../primitives/Field.svelte';
	import { hands as answer } from '../../../state/answers';
	import { send } from '../../../state/api';
	import type { FitState } from '../fit-state.svelte';

	/** How tightly this person lays this backing, learnt from what was wound and written down. */
	let { fit }: { fit: FitState } = $props();
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
	const learnt = $derived(hand ? writeLay(hand.posterior) : '');

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
		if (reply.kind === 'ok') hands = reply.value.hands;
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

<h3 class="mt-5 text-[15px] font-semibold">Your hand</h3>
<div class="mt-1 grid grid-cols-[11rem_1fr] items-end gap-5">
	<Field
		label="Lay to reckon with"
		value={fit.form.fill.lay}
		placeholder="as the winding has it"
		aside=""
		error={fit.error('fill', 'lay')}
		oninput={(value) => fit.change(({ fill }) => (fill.lay = value))}
	/>
	<p class="text-[13.5px] text-soft">
		Share of perfect square winding, such as <q>0.86 ± 3 %</q>. Write down turns and depth at the bench, and
		it is learnt.
	</p>
</div>
{#if hand}
	<ul class="mt-2 space-y-1" data-hand>
		{@render row('before any fill', hand.prior, 'bg-hair')}
		{#each hand.fills as fill (fill.recordId)}
			<li class={fill.counts ? '' : 'opacity-40'}>
				<ul>{@render row(`${fill.spool}, ${fill.woundOn}`, fill, 'bg-backing/60')}</ul>
			</li>
		{/each}
		{@render row(`after ${counting} ${counting === 1 ? 'fill' : 'fills'}`, hand.posterior, 'bg-now')}
	</ul>
	<div class="mt-2 flex flex-wrap gap-2">
		{#if counting > 0 && fit.form.fill.lay !== learnt}
			<button type="button" class="action-quiet" onclick={() => fit.change(({ fill }) => (fill.lay = learnt))}
				>Reckon with {learnt}</button
			>
		{/if}
		{#if counting > 0}
			<button type="button" class="action-quiet" onclick={() => forget(true)}>Forget these fills</button>
		{:else}
			<button type="button" class="action-quiet" onclick={() => forget(false)}>Let them count again</button>
		{/if}
	</div>
{:else if hands}
	<p class="mt-1 text-[13.5px] text-soft">
		No finished fill of this backing, wound in this way, has its turns and depth yet.
	</p>
{/if}
