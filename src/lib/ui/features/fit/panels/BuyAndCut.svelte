<script lang="ts">
	import { formatLength } from '$lib/core';
	import { jobOf } from '$lib/bench/job';
	import { shoppingOf } from '$lib/bench/shopping';
	import { longUnit, showLong, showOnRule, showToCut } from '$lib/wording/units';
	import Download from '@lucide/svelte/icons/download';
	import Printer from '@lucide/svelte/icons/printer';
	import { download } from '../../../charts/export/download';
	import { CONTROL_MM, gaugeOf, gaugePdf, gaugePlan, gaugeSvg } from '../../../charts/gauge';
	import { usePreferences } from '../../../state/preferences.svelte';
	import type { FitState } from '../fit-state.svelte';

	/** What to buy, how long to cut it, and a strip of paper that says when to stop. */
	let { fit }: { fit: FitState } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const workout = $derived(fit.workout);
	const name = $derived(fit.form.spool.name || 'This spool');

	const job = $derived(workout && jobOf(fit.form, workout, preferences.schools));

	const cuts = $derived(workout && job ? shoppingOf(workout, job) : []);
	const labelOf = (part: string): string => workout?.parts.find(({ id }) => id === part)?.label ?? '';
	const bought = $derived(
		(workout?.parts ?? []).flatMap((part, i) =>
			part.role === 'backing' || part.role === 'bed'
				? []
				: [{ part, lengthMm: workout!.fit.layers[i]!.lengthMm }]
		)
	);
	const retail = (mm: number): string => formatLength(mm, longUnit(units), 0);

	const gauge = $derived(workout && !fit.stale ? gaugeOf(workout) : undefined);
	const plan = $derived(gauge && gaugePlan(gauge, name, (mm) => showOnRule(mm, units)));
	const svg = $derived(gauge && plan ? gaugeSvg(gauge, plan) : '');
	const file = $derived(`${name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}-gauge`);

	/** Prints the gauge alone, at its true size, from a frame of its own. */
	function print(): void {
		const frame = document.createElement('iframe');
		frame.style.cssText = 'position:fixed;width:0;height:0;border:0';
		frame.srcdoc = `<!doctype html><title>Depth gauge</title><style>@page{margin:10mm}body{margin:0}</style>${svg}`;
		frame.onload = () => {
			frame.contentWindow?.addEventListener('afterprint', () => frame.remove());
			frame.contentWindow?.print();
		};
		document.body.append(frame);
	}
</script>

<table class="figure w-full text-[14.5px]" data-cuts>
	<thead>
		<tr class="border-b border-ink text-left text-[13px] text-soft">
			<th class="py-1 font-normal">From a spool</th>
			<th class="py-1 text-right font-normal">goes on</th>
			<th class="py-1 text-right font-normal">cut to be sure</th>
			<th class="py-1 text-right font-normal">buy</th>
			<th class="py-1 text-right font-normal">left over</th>
		</tr>
	</thead>
	<tbody>
		{#each cuts as { id, goesOnMm, about, cut } (id)}
			<tr class="border-b border-hair">
				<td class="py-1">{labelOf(id)}</td>
				<td class="py-1 text-right">{about ? 'about ' : ''}{showLong(goesOnMm, units)}</td>
				<td class="py-1 text-right font-semibold">{showToCut(cut.cutMm, units)}</td>
				<td class="py-1 text-right">{cut.buyMm.map(retail).join(' + ') || 'none'}</td>
				<td class="py-1 text-right text-soft">{showLong(cut.leftoverMm, units)}</td>
			</tr>
		{/each}
	</tbody>
</table>
{#if bought.length > 0}
	<p class="mt-2 text-[14.5px]">
		And {bought.map(({ part, lengthMm }) => `${part.label}, ${showLong(lengthMm, units)}`).join('; ')}; a
		leader of
		{fit.form.fill.leader}.
	</p>
{/if}
<p class="mt-1 text-[13.5px] text-soft">
	The length to cut is the high end of the range plus the knots. You can trim a little too much, but you can't
	add a little too little. The sizes sold and the knot allowances are common practice.
</p>

{#if gauge && plan}
	<h3 class="mt-6 text-[15px] font-semibold">Depth gauge</h3>
	<div class="mt-2 flex flex-wrap gap-6">
		<div class="border border-hair bg-white p-1" data-gauge>
			<!-- Drawn by this program from numbers and an escaped name. -->
			<!-- eslint-disable-next-line svelte/no-at-html-tags -->
			{@html svg}
		</div>
		<div class="max-w-[24rem] min-w-52 flex-1 space-y-3 text-[14.5px]">
			<p>
				Cut the strip out and stand it on the arbor. Wind backing up to the lower line, and the fly line then
				comes up to the upper one. The bar has to measure {CONTROL_MM} mm. A printer at 100 % prints it true to
				size; a screen rarely shows it so.
			</p>
			<div class="flex flex-wrap gap-2">
				<button type="button" class="action-quiet" onclick={print}><Printer size={14} />Print</button>
				<button
					type="button"
					class="action-quiet"
					onclick={() => download(`${file}.svg`, new Blob([svg], { type: 'image/svg+xml' }))}
					><Download size={14} />SVG</button
				>
				<button
					type="button"
					class="action-quiet"
					onclick={async () => download(`${file}.pdf`, await gaugePdf(gauge, plan))}
					><Download size={14} />PDF</button
				>
			</div>
		</div>
	</div>
{/if}
