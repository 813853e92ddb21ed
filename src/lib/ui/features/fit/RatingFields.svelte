<script lang="ts">
	import { MAX_RATINGS } from '$lib/setup/limits';
	import { longUnit } from '$lib/wording/units';
	import Plus from '@lucide/svelte/icons/plus';
	import X from '@lucide/svelte/icons/x';
	import Field from '../../primitives/Field.svelte';
	import Segmented from '../../primitives/Segmented.svelte';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { FitState } from './fit-state.svelte';
	import LineClassFields from './LineClassFields.svelte';
	import { allowanceOptions, materialOptions } from './options';

	let { fit }: { fit: FitState } = $props();
	const preferences = usePreferences();
	const unit = $derived(longUnit(preferences.units));
	const spool = $derived(fit.form.spool);
	const consistency = $derived(fit.workout?.known.consistency);

	function add(): void {
		fit.change(({ spool }) => spool.ratings.push({ ...spool.ratings.at(-1)!, length: '' }));
	}
</script>

{#each spool.ratings as rating, i (i)}
	<div class="relative border-l-2 border-hair pl-3" role="group" aria-label="Figure {i + 1} from the box">
		<LineClassFields
			value={rating.line}
			onchange={(line) => fit.change((form) => (form.spool.ratings[i]!.line = line))}
		/>
		<div class="mt-2 grid grid-cols-[0.9fr_1.4fr] gap-3">
			<Field
				label="and backing of"
				value={rating.length}
				placeholder="100"
				inputmode="text"
				aside={unit}
				error={fit.error('spool', 'ratings', i, 'length')}
				oninput={(value) => fit.change((form) => (form.spool.ratings[i]!.length = value))}
				oncommit={(value) => fit.change((form) => (form.spool.ratings[i]!.length = fit.settled(value, unit)))}
			/>
			<Select
				label="of"
				options={materialOptions}
				value={rating.material}
				onchange={(material) => fit.change((form) => (form.spool.ratings[i]!.material = material))}
			/>
		</div>
		{#if consistency?.oddIndex === i}
			<p class="mt-1 text-[13.5px] text-warn">
				This figure doesn't agree with the others, so Wendle leaves it out. Check its line and its backing.
			</p>
		{/if}
		{#if spool.ratings.length > 1}
			<button
				type="button"
				class="absolute -top-1 right-0 grid size-6 place-items-center rounded-sm text-soft hover:text-ink"
				aria-label="Remove figure {i + 1}"
				onclick={() => fit.change((form) => form.spool.ratings.splice(i, 1))}
			>
				<X size={15} />
			</button>
		{/if}
	</div>
{/each}
{#if consistency?.undecided}
	<p class="text-[13.5px] text-warn">
		These two figures contradict each other. Add a third figure, or measure the spool.
	</p>
{/if}
<div class="flex items-end justify-between gap-3">
	<Segmented
		label="Makers' figures are generous: subtract"
		shown
		options={allowanceOptions.map(({ value, label }) => ({ value: String(value), label }))}
		value={String(spool.allowance)}
		onchange={(value) => fit.change((form) => (form.spool.allowance = Number(value) as 0 | 0.1 | 0.2))}
	/>
	{#if spool.ratings.length < MAX_RATINGS}
		<button type="button" class="action-quiet shrink-0" onclick={add}><Plus size={15} />Figure</button>
	{/if}
</div>
