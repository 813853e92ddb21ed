<script lang="ts">
	import { DEFAULT_SPREADS, type Measure } from '$lib/core';
	import { showSmall, smallUnit } from '$lib/wording/units';
	import Segmented from '../../primitives/Segmented.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { FitState } from './fit-state.svelte';
	import FilledFields from './FilledFields.svelte';
	import LengthField from './LengthField.svelte';
	import MeasureGuide from './MeasureGuide.svelte';
	import RatingFields from './RatingFields.svelte';

	let { fit }: { fit: FitState } = $props();
	const preferences = usePreferences();
	const unit = $derived(smallUnit(preferences.units));
	const spool = $derived(fit.form.spool);
	const rated = $derived(spool.way !== 'measured');
	const known = $derived(fit.stale ? undefined : fit.workout?.known);

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
</script>

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
{#if spool.way === 'rated'}
	<RatingFields {fit} />
{:else if spool.way === 'filled'}
	<FilledFields {fit} />
{:else}
	<Segmented
		label="Shape of the spool"
		options={[
			{ value: 'straight', label: 'straight' },
			{ value: 'dished', label: 'dished arbor' },
			{ value: 'flared', label: 'flared rims' }
		]}
		value={spool.shape}
		onchange={(shape) => fit.change((form) => (form.spool.shape = shape))}
	/>
	<MeasureGuide shape={spool.shape} frame={spool.frame !== ''} />
{/if}
<div class="grid grid-cols-2 gap-x-4 gap-y-2.5">
	<LengthField
		{fit}
		{unit}
		label="Across the rims"
		path={['spool', 'rim']}
		get={({ spool }) => spool.rim}
		set={({ spool }, value) => (spool.rim = value)}
		placeholder={rated ? estimates.rim : ''}
		aside={rated && spool.rim === '' ? '' : spread(DEFAULT_SPREADS.rimMm)}
	/>
	<LengthField
		{fit}
		{unit}
		label={!rated && spool.shape === 'flared' ? 'Between the rims' : 'Between the flanges'}
		path={['spool', 'width']}
		get={({ spool }) => spool.width}
		set={({ spool }, value) => (spool.width = value)}
		placeholder={rated ? estimates.width : ''}
		aside={rated && spool.width === '' ? '' : spread(DEFAULT_SPREADS.widthMm)}
	/>
	{#if rated}
		<div>
			<span class="figure block text-[13px] text-soft">Across the arbor</span>
			<span class="figure block border-b border-hair py-1.5 text-[16px] text-soft"
				>{estimates.arbor || '–'}</span
			>
		</div>
	{:else}
		<LengthField
			{fit}
			{unit}
			label={spool.shape === 'dished' ? 'Arbor at its edges' : 'Across the arbor'}
			path={['spool', 'arbor']}
			get={({ spool }) => spool.arbor}
			set={({ spool }, value) => (spool.arbor = value)}
			aside={spread(DEFAULT_SPREADS.arborMm)}
		/>
	{/if}
	{#if !rated && spool.shape === 'dished'}
		<LengthField
			{fit}
			{unit}
			label="Arbor where lowest"
			path={['spool', 'low']}
			get={({ spool }) => spool.low}
			set={({ spool }, value) => (spool.low = value)}
			aside={spread(DEFAULT_SPREADS.arborMm)}
		/>
	{:else if !rated && spool.shape === 'flared'}
		<LengthField
			{fit}
			{unit}
			label="Between, at the arbor"
			path={['spool', 'floor']}
			get={({ spool }) => spool.floor}
			set={({ spool }, value) => (spool.floor = value)}
			aside={spread(DEFAULT_SPREADS.widthMm)}
		/>
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
</div>
{#if spool.way === 'measured' && spool.rim !== ''}
	{#await import('./SlipNote.svelte') then { default: SlipNote }}<SlipNote {fit} />{/await}
{/if}
{#if rated && known && known.estimated.length > 1}
	<p class="text-[13.5px] text-soft">
		You haven't measured the spool, so Wendle draws an ordinary spool of this capacity. Measure the rim and
		the width for a closer answer.
	</p>
{/if}
<div class="grid grid-cols-2 gap-4">
	<Segmented
		label="Wind with the"
		shown
		options={[
			{ value: 'left', label: 'left' },
			{ value: 'right', label: 'right' }
		]}
		value={spool.hand}
		onchange={(hand) => fit.change((form) => (form.spool.hand = hand))}
	/>
	<Segmented
		label="Cage"
		shown
		options={[
			{ value: 'open', label: 'open' },
			{ value: 'closed', label: 'closed' }
		]}
		value={spool.cage}
		onchange={(cage) => fit.change((form) => (form.spool.cage = cage))}
	/>
</div>
