<script lang="ts">
	import { lengthWeighed, parseMass, turnsOfLength } from '$lib/core';
	import { showLong, showTurns } from '$lib/wording/units';
	import Field from '../../../primitives/Field.svelte';
	import { usePreferences } from '../../../state/preferences.svelte';
	import type { WindingState } from '../winding.svelte';

	/** The supply spool weighed before and after: what has left it is on. */
	let { winding }: { winding: WindingState } = $props();
	const preferences = usePreferences();
	let before = $state('');
	let after = $state('');

	const strand = $derived.by(() => {
		const { sections, spreads } = winding.component;
		const { material, densityGPerCm3 } = winding.part;
		const [section, ...more] = sections;
		if (!section || more.length > 0) return undefined;
		return {
			diameterMm: section.startDiameterMm,
			diameterShare: spreads?.diameterShare ?? material?.diameterSpread ?? 0.05,
			density: material?.density ?? { gPerCm3: densityGPerCm3, share: 0.05 }
		};
	});
	const grams = (text: string): number | undefined => {
		const read = parseMass(text, 'g');
		return text.trim() !== '' && read.ok && read.value > 0 ? read.value : undefined;
	};
	const weighed = $derived.by(() => {
		const [beforeG, afterG] = [grams(before), grams(after)];
		return strand && beforeG !== undefined && afterG !== undefined
			? lengthWeighed({ beforeG, afterG, ...strand })
			: undefined;
	});
	const turns = $derived(
		weighed?.ok
			? turnsOfLength(
					winding.spool,
					winding.layer.innerRadiusMm,
					winding.component,
					weighed.value.lengthMm,
					winding.lay
				)
			: undefined
	);
	const bad = (text: string): string | undefined =>
		text.trim() !== '' && grams(text) === undefined ? 'A weight, such as 82.4 g.' : undefined;
</script>

{#if strand}
	<div class="grid max-w-xl grid-cols-2 gap-4">
		<Field
			label="Supply spool before"
			aside="g"
			value={before}
			error={bad(before)}
			oninput={(value) => (before = value)}
		/>
		<Field
			label="Supply spool now"
			aside="g"
			value={after}
			error={bad(after) ??
				(weighed && !weighed.ok ? 'The spool weighs no less than before. Check both weights.' : undefined)}
			oninput={(value) => (after = value)}
		/>
	</div>
	{#if weighed?.ok && turns !== undefined}
		<p class="mt-3 text-[19px]" data-weighed>
			{showLong(weighed.value.lengthMm, preferences.units)} has gone on, give or take
			{showLong(weighed.value.spreadMm, preferences.units)}: about {showTurns(turns / winding.gear)} turns.
		</p>
		<button
			type="button"
			class="mt-2 action min-h-14 px-6 text-[20px]"
			onclick={() =>
				winding.weigh(Math.round(turns), turns * (weighed.value.spreadMm / weighed.value.lengthMm))}
			>Set the count to {showTurns(turns / winding.gear)}</button
		>
	{/if}
{:else}
	<p class="max-w-[60ch] text-[17px]">
		Weighing only works for a strand of one thickness, and this one tapers. Count its turns, or wind on all of
		it.
	</p>
{/if}
