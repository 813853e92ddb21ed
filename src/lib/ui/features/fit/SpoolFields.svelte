<script lang="ts">
	import { DEFAULT_SPREADS, type Measure } from '$lib/core';
	import type { RatingForm } from '$lib/setup/form';
	import { MAX_RATINGS } from '$lib/setup/limits';
	import { showSmall, smallUnit } from '$lib/wording/units';
	import Plus from '@lucide/svelte/icons/plus';
	import Fold from '../../primitives/Fold.svelte';
	import Segmented from '../../primitives/Segmented.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { FitState } from './fit-state.svelte';
	import LengthField from './LengthField.svelte';
	import MeasureGuide from './MeasureGuide.svelte';
	import { allowanceOptions } from './options';
	import SpoolSentence from './SpoolSentence.svelte';

	let { fit }: { fit: FitState } = $props();
	const preferences = usePreferences();
	const unit = $derived(smallUnit(preferences.units));
	const spool = $derived(fit.form.spool);
	const measured = $derived(spool.way === 'measured');
	const known = $derived(fit.stale ? undefined : fit.workout?.known);

	const SHAPES = [
		{ value: 'straight', label: 'straight' },
		{ value: 'dished', label: 'dished arbor' },
		{ value: 'flared', label: 'flared rims' }
	] as const;

	/** What a box counts with. */
	const RATED = [
		{ value: 'line', label: 'a line' },
		{ value: 'head', label: 'a head' },
		{ value: 'nylon', label: 'nylon alone' }
	] as const;
	function ratedAs(rating: RatingForm, kind: (typeof RATED)[number]['value']): void {
		if (kind === 'line') delete rating.other;
		else if (kind === 'head') rating.other = { kind, density: 'F', mass: '', length: '' };
		else rating.other = { kind, diameter: '' };
	}

	/** An estimated measure, shown where the person's own would stand. */
	function guess(measure: Measure, mm: number | undefined): string {
		return known?.estimated.includes(measure) && mm !== undefined
			? `about ${showSmall(mm, preferences.units)}`
			: '';
	}
	const estimates = $derived({
		rim: guess('rim', known && 2 * known.spool.rimRadiusMm),
		arbor: guess('arbor', known && 2 * known.spool.arborRadiusMm),
		width: guess('width', known?.spool.profile[0]?.widthMm)
	});
	const spread = (mm: number): string => `± ${showSmall(mm, preferences.units)}`;
	const to = $derived(spool.frame === '' ? 'gap up to the rim' : `frame ${spool.frame} inside`);
	const set = $derived.by(() => {
		if (measured) return `${SHAPES.find(({ value }) => value === spool.shape)!.label}, ${to}`;
		const off = spool.way === 'rated' ? `${100 * spool.allowance} % off the box's figure, ` : '';
		return `${off}${spool.rim === '' ? 'not measured' : `${spool.rim} across the rims`}, ${to}`;
	});
	const wrong = $derived(
		fit.error('spool', 'frame') !== undefined ||
			(!measured && (fit.error('spool', 'rim') !== undefined || fit.error('spool', 'width') !== undefined))
	);
</script>

{#snippet measure(label: string, key: 'rim' | 'width', spreadMm: number)}
	<LengthField
		{fit}
		{unit}
		{label}
		path={['spool', key]}
		get={({ spool }) => spool[key]}
		set={({ spool }, value) => (spool[key] = value)}
		placeholder={estimates[key]}
		aside={spool[key] === '' ? '' : spread(spreadMm)}
	/>
{/snippet}

<Segmented
	label="How the spool is known"
	options={[
		{ value: 'rated', label: 'From the box' },
		{ value: 'filled', label: 'What is on it' },
		{ value: 'measured', label: 'Measured' }
	]}
	value={spool.way}
	onchange={(way) => fit.change((form) => (form.spool.way = way))}
/>
<SpoolSentence {fit} />
{#if measured && spool.rim !== ''}
	{#await import('./SlipNote.svelte') then { default: SlipNote }}<SlipNote {fit} />{/await}
{/if}
<Fold label="More about the spool" {set} {wrong}>
	{#if measured}
		<Segmented
			label="Shape of the spool"
			options={SHAPES}
			value={spool.shape}
			onchange={(shape) => fit.change((form) => (form.spool.shape = shape))}
		/>
		<MeasureGuide shape={spool.shape} frame={spool.frame !== ''} />
		<p class="text-[13.5px] text-soft">
			Wendle takes your measures to be right within {spread(DEFAULT_SPREADS.rimMm)}, and the arbor within
			{spread(DEFAULT_SPREADS.arborMm)}. Your own uncertainties go under <em>How sure?</em>
		</p>
	{:else}
		{#if spool.way === 'rated'}
			{#each spool.ratings as rating, i (i)}
				<Segmented
					label={spool.ratings.length === 1 ? 'The figure is for' : `Figure ${i + 1} is for`}
					shown
					options={RATED}
					value={rating.other?.kind ?? 'line'}
					onchange={(kind) => fit.change(({ spool }) => ratedAs(spool.ratings[i]!, kind))}
				/>
			{/each}
			<div class="flex items-end justify-between gap-3">
				<Segmented
					label="Makers' figures are generous: subtract"
					shown
					options={allowanceOptions.map(({ value, label }) => ({ value: String(value), label }))}
					value={String(spool.allowance)}
					onchange={(value) => fit.change((form) => (form.spool.allowance = Number(value) as 0 | 0.1 | 0.2))}
				/>
				{#if spool.ratings.length < MAX_RATINGS}
					<button
						type="button"
						class="action-quiet shrink-0"
						onclick={() =>
							fit.change(({ spool }) => spool.ratings.push({ ...spool.ratings.at(-1)!, length: '' }))}
						><Plus size={15} />Figure</button
					>
				{/if}
			</div>
		{/if}
		<div class="grid grid-cols-2 gap-x-4 gap-y-2.5">
			{@render measure('Across the rims', 'rim', DEFAULT_SPREADS.rimMm)}
			{@render measure('Between the flanges', 'width', DEFAULT_SPREADS.widthMm)}
		</div>
		{#if estimates.arbor}
			<p class="text-[13.5px] text-soft">
				That makes the arbor {estimates.arbor}.
				{#if known && known.estimated.length > 1}
					You haven't measured the spool, so Wendle draws an ordinary spool of this capacity.{/if}
			</p>
		{/if}
	{/if}
	<LengthField
		{fit}
		{unit}
		label="Inside the frame"
		path={['spool', 'frame']}
		get={({ spool }) => spool.frame}
		set={({ spool }, value) => (spool.frame = value)}
		placeholder="same as the rim"
		aside=""
	/>
</Fold>
