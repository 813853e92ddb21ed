<script lang="ts">
	import { withUnit } from '$lib/core';
	import { KIND_NAMES, STOCK_KINDS, type StockForm } from '$lib/stock/stock';
	import type { WordedIssue } from '$lib/wording/issues';
	import { longUnit, smallUnit } from '$lib/wording/units';
	import Colour from '../../primitives/Colour.svelte';
	import Field from '../../primitives/Field.svelte';
	import TextArea from '../../primitives/TextArea.svelte';
	import Segmented from '../../primitives/Segmented.svelte';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import LineClassFields from '../fit/LineClassFields.svelte';
	import { materialOptions } from '../fit/options';

	/** Everything that is said of something on the shelf. */
	interface Props {
		form: StockForm;
		issues: readonly WordedIssue[];
		onchange: (part: Partial<StockForm>) => void;
	}
	let { form, issues, onchange }: Props = $props();
	const preferences = usePreferences();
	const long = $derived(longUnit(preferences.units));
	const small = $derived(smallUnit(preferences.units));
	const error = (field: keyof StockForm): string | undefined =>
		issues.find(({ path }) => path.at(-1) === field)?.message;
	const KINDS = STOCK_KINDS.map((value) => ({ value, label: KIND_NAMES[value] }));
	/** The measures of the spool itself, and how each is taken. */
	const MEASURES = [
		['rim', 'Across the flanges'],
		['arbor', 'Across the core'],
		['width', 'Between the flanges']
	] as const;
</script>

<Segmented label="What is it?" options={KINDS} value={form.kind} onchange={(kind) => onchange({ kind })} />
<div class="mt-4 grid gap-x-6 gap-y-4 sm:grid-cols-2">
	{#if form.kind === 'boxed'}
		<div class="sm:col-span-2">
			<LineClassFields value={form.line} onchange={(line) => onchange({ line })} />
		</div>
		<Field
			label="Boxes"
			inputmode="numeric"
			value={form.boxes}
			maxlength={3}
			error={error('boxes')}
			oninput={(boxes) => onchange({ boxes })}
		/>
		<Field
			label="Tell me when there are fewer than"
			inputmode="numeric"
			value={form.fewBoxes}
			placeholder="2"
			maxlength={3}
			error={error('fewBoxes')}
			oninput={(fewBoxes) => onchange({ fewBoxes })}
		/>
	{:else}
		<Select
			label="Backing"
			options={materialOptions}
			value={form.material}
			onchange={(material) => onchange({ material })}
		/>
		<Field
			label={form.kind === 'end' ? 'Length' : 'Length when it was new'}
			value={form.length}
			placeholder={form.kind === 'end' ? `60 ${long}` : `1000 ${long}`}
			aside={form.kind === 'bulk' && form.length.trim() === '' ? "blank if you don't know" : ''}
			error={error('length')}
			oninput={(length) => onchange({ length })}
			oncommit={(length) => onchange({ length: withUnit(length, long) })}
		/>
		<Field
			label="Tell me when there is less than"
			value={form.few}
			placeholder="200 {long}"
			aside="of this backing in all"
			error={error('few')}
			oninput={(few) => onchange({ few })}
			oncommit={(few) => onchange({ few: withUnit(few, long) })}
		/>
		<Field
			label="Diameter of the backing"
			value={form.diameter}
			placeholder="as usual, or 20 wraps in 11 mm"
			error={error('diameter')}
			oninput={(diameter) => onchange({ diameter })}
			oncommit={(diameter) => onchange({ diameter: withUnit(diameter, small) })}
		/>
	{/if}
	<Field
		label="What you call it"
		value={form.name}
		placeholder="orange, the big spool"
		maxlength={60}
		oninput={(name) => onchange({ name })}
	/>
	<Field
		label="Where it is"
		value={form.where}
		placeholder="second shelf"
		maxlength={60}
		oninput={(where) => onchange({ where })}
	/>
	{#if form.kind !== 'boxed'}
		<Colour value={form.colour} oninput={(colour) => onchange({ colour })} />
	{/if}
</div>
{#if form.kind === 'bulk'}
	<fieldset class="mt-5">
		<legend class="figure text-[16px] font-semibold">The spool that it is on</legend>
		<p class="text-[14px] text-soft">
			If you measure the spool, Wendle draws it to scale, and a depth tells how much is left. If you weigh it
			empty, a weight tells too.
		</p>
		<div class="mt-2 grid gap-x-6 gap-y-4 sm:grid-cols-4">
			{#each MEASURES as [field, label] (field)}
				<Field
					{label}
					value={form[field]}
					error={error(field)}
					oninput={(value) => onchange({ [field]: value })}
					oncommit={(value) => onchange({ [field]: withUnit(value, small) })}
				/>
			{/each}
			<Field
				label="Weight when empty"
				value={form.empty}
				error={error('empty')}
				oninput={(empty) => onchange({ empty })}
				oncommit={(empty) => onchange({ empty: withUnit(empty, 'g') })}
			/>
		</div>
	</fieldset>
{/if}
<div class="mt-4">
	<TextArea label="Notes" value={form.note} oninput={(note) => onchange({ note })} />
</div>
