<script lang="ts">
	import { DEFAULT_SPREADS } from '$lib/core';
	import { showSmall, smallUnit } from '$lib/wording/units';
	import type { SetupForm } from '$lib/setup/form';
	import Field from '../../../primitives/Field.svelte';
	import { usePreferences } from '../../../state/preferences.svelte';
	import type { FitState } from '../fit-state.svelte';
	import Fold from '../../../primitives/Fold.svelte';

	/** The spreads behind every range: what they are, where they come from, and one's own in their place. */
	let { fit }: { fit: FitState } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	type Key = keyof SetupForm['fill']['spreads'];

	const ROWS: readonly { key: Key; label: string; usual: number; share?: boolean; from: string }[] = [
		{
			key: 'rim',
			label: 'Rim, off by',
			usual: DEFAULT_SPREADS.rimMm,
			from: 'with cheap calipers or a rule'
		},
		{ key: 'arbor', label: 'Arbor, off by', usual: DEFAULT_SPREADS.arborMm, from: 'hard to reach' },
		{
			key: 'width',
			label: 'Width, off by',
			usual: DEFAULT_SPREADS.widthMm,
			from: 'with cheap calipers or a rule'
		},
		{ key: 'depth', label: 'Depth, off by', usual: DEFAULT_SPREADS.depthMm, from: 'with a steady eye' },
		{
			key: 'diameter',
			label: 'Thickness of the backing, off by',
			usual: DEFAULT_SPREADS.diameterShare,
			share: true,
			from: 'differs between makers, from memory'
		},
		{
			key: 'bulk',
			label: 'Bulk of the line, off by',
			usual: DEFAULT_SPREADS.bulkShare,
			share: true,
			from: 'differs between makers, from memory'
		},
		{
			key: 'lay',
			label: 'Tightness, off by',
			usual: DEFAULT_SPREADS.layShare,
			share: true,
			from: 'differs between people, from memory'
		}
	];

	const own = $derived(ROWS.filter(({ key }) => fit.form.fill.spreads[key].trim() !== ''));
	const set = $derived(
		own.length === 0
			? 'as usual'
			: own.map(({ key, label }) => `${label.toLowerCase()} ${fit.form.fill.spreads[key]}`).join(', ')
	);
	const wrong = $derived(ROWS.some(({ key }) => fit.error('fill', 'spreads', key) !== undefined));
</script>

<div class="mt-4"></div>
<Fold label="How far off each measure may be" {set} {wrong}>
	<div class="grid grid-cols-2 gap-x-5 gap-y-2 sm:grid-cols-3">
		{#each ROWS as { key, label, usual, share, from } (key)}
			<div>
				<Field
					{label}
					value={fit.form.fill.spreads[key]}
					placeholder={share ? `${100 * usual} %` : showSmall(usual, units)}
					aside=""
					error={fit.error('fill', 'spreads', key)}
					oninput={(value) => fit.change(({ fill }) => (fill.spreads[key] = value))}
					oncommit={(value) => {
						const settled = share ? value : fit.settled(value, smallUnit(units));
						if (settled !== fit.form.fill.spreads[key])
							fit.change(({ fill }) => (fill.spreads[key] = settled));
					}}
				/>
				<span class="text-[12.5px] text-soft">{from}</span>
			</div>
		{/each}
	</div>
	<p class="mt-2 text-[13.5px] text-soft">
		Each is one standard deviation (1σ). These are assumptions until you type your own. A strand measured by
		wraps, by weight or by its table has its own uncertainty.
	</p>
</Fold>
