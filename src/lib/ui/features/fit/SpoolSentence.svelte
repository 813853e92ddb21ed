<script lang="ts">
	import { longUnit, smallUnit } from '$lib/wording/units';
	import X from '@lucide/svelte/icons/x';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import Word from '../../primitives/Word.svelte';
	import type { FitState } from './fit-state.svelte';
	import LengthField from './LengthField.svelte';
	import LineCode from './LineCode.svelte';
	import { materialOptions } from './options';

	/** How the spool is known, as a person would say it: the box's figures, what is on it, or its measures. */
	let { fit }: { fit: FitState } = $props();
	const preferences = usePreferences();
	const small = $derived(smallUnit(preferences.units));
	const long = $derived(longUnit(preferences.units));
	const spool = $derived(fit.form.spool);
	const consistency = $derived(fit.workout?.known.consistency);

	type Measure = 'rim' | 'arbor' | 'width' | 'low' | 'floor';
</script>

{#snippet measure(label: string, key: Measure)}<LengthField
		{fit}
		inline
		unit={small}
		{label}
		path={['spool', key]}
		get={({ spool }) => spool[key]}
		set={({ spool }, value) => (spool[key] = value)}
	/>{/snippet}

{#snippet length(i: number, label: string, placeholder: string)}<LengthField
		{fit}
		inline
		unit={long}
		{label}
		path={['spool', 'ratings', i, 'length']}
		get={({ spool }) => spool.ratings[i]!.length}
		set={({ spool }, value) => (spool.ratings[i]!.length = value)}
		{placeholder}
	/>{/snippet}
{#snippet other(i: number)}
	{@const rated = spool.ratings[i]?.other}
	{#if rated}
		{#await import('./RatedOther.svelte') then { default: RatedOther }}<RatedOther
				{fit}
				index={i}
				other={rated}
			/>{/await}
	{/if}
{/snippet}

{#if spool.way === 'rated'}
	{#each spool.ratings as rating, i (i)}
		<div class="sentence" role="group" aria-label="Figure {i + 1} from the box">
			{i === 0 ? "My reel's box says" : 'It also says'}
			{#if rating.other?.kind === 'nylon'}
				{@render length(i, 'Nylon on the box', '200')} of {@render other(i)}.
			{:else}
				{#if rating.other}
					{@render other(i)}
				{:else}
					<LineCode
						label="Line on the box"
						value={rating.line}
						onchange={(line) => fit.change((form) => (form.spool.ratings[i]!.line = line))}
					/>
				{/if} with {@render length(i, 'Backing on the box', '100')} of <Select
					inline
					label="Material on the box"
					options={materialOptions}
					value={rating.material}
					onchange={(material) => fit.change((form) => (form.spool.ratings[i]!.material = material))}
				/>.
			{/if}
			{#if spool.ratings.length > 1}
				<button
					type="button"
					class="inline-grid size-6 place-items-center rounded-sm align-middle text-soft hover:text-ink"
					aria-label="Remove figure {i + 1}"
					onclick={() => fit.change((form) => form.spool.ratings.splice(i, 1))}><X size={15} /></button
				>
			{/if}
			{#if consistency?.oddIndex === i}
				<p class="text-[13.5px] leading-snug text-warn">
					This figure doesn't agree with the others, so Wendle leaves it out. Check its line and its backing.
				</p>
			{/if}
		</div>
	{/each}
	{#if consistency?.undecided}
		<p class="text-[13.5px] text-warn">
			These two figures contradict each other. Add a third figure, or measure the spool.
		</p>
	{/if}
{:else if spool.way === 'filled'}
	<div class="sentence" role="group" aria-label="What is on it now">
		My reel holds <LineCode
			label="Line on it now"
			value={spool.filled.line}
			onchange={(line) => fit.change((form) => (form.spool.filled.line = line))}
		/> over <LengthField
			{fit}
			inline
			unit={long}
			label="Backing on it now"
			path={['spool', 'filled', 'length']}
			get={({ spool }) => spool.filled.length}
			set={({ spool }, value) => (spool.filled.length = value)}
			placeholder="90"
		/> of <Select
			inline
			label="Material on it now"
			options={materialOptions}
			value={spool.filled.material}
			onchange={(material) => fit.change((form) => (form.spool.filled.material = material))}
		/>, with a <Word term="gap">gap</Word> of <LengthField
			{fit}
			inline
			unit={small}
			label="Gap it has now"
			path={['spool', 'filled', 'gap']}
			get={({ spool }) => spool.filled.gap}
			set={({ spool }, value) => (spool.filled.gap = value)}
			placeholder="5"
		/> between line and frame.
	</div>
{:else}
	<div class="sentence" role="group" aria-label="Measures of the spool">
		My spool measures {@render measure('Across the rims', 'rim')} across the <Word term="rim">rims</Word>,
		{#if spool.shape === 'straight'}
			{@render measure('Across the arbor', 'arbor')} across the <Word term="arbor">arbor</Word> and
			{@render measure('Between the flanges', 'width')} between the <Word term="flange">flanges</Word>.
		{:else if spool.shape === 'dished'}
			{@render measure('Arbor at its edges', 'arbor')} across the <Word term="arbor">arbor</Word> at its edges,
			{@render measure('Arbor where lowest', 'low')} where it is lowest, and
			{@render measure('Between the flanges', 'width')} between the <Word term="flange">flanges</Word>.
		{:else}
			{@render measure('Across the arbor', 'arbor')} across the <Word term="arbor">arbor</Word>,
			{@render measure('Between the rims', 'width')} between the rims and
			{@render measure('Between, at the arbor', 'floor')} between the <Word term="flange">flanges</Word> at the
			arbor.
		{/if}
	</div>
{/if}
