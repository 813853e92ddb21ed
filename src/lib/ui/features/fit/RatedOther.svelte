<script lang="ts">
	import { BACKING_MATERIALS, parseLength, toMm } from '$lib/core';
	import type { RatedOther } from '$lib/setup/form';
	import { longUnit, showLong, smallUnit } from '$lib/wording/units';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { FitState } from './fit-state.svelte';
	import LengthField from './LengthField.svelte';
	import { densityOptions } from './options';
	import { twoHandedOptions, weightOfClass } from './strand-options';

	/** A figure from the box that is for a head, or for plain nylon: what stands in its sentence in place of a line's class. */
	interface Props {
		fit: FitState;
		/** Which figure. */
		index: number;
		other: RatedOther;
	}
	let { fit, index, other }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const path = $derived(['spool', 'ratings', index, 'other']);
	const of = (form: FitState['form']): RatedOther | undefined => form.spool.ratings[index]!.other;
	function set<K extends RatedOther['kind']>(
		kind: K,
		change: (other: Extract<RatedOther, { kind: K }>) => void
	): void {
		fit.change((form) => {
			const now = of(form);
			if (now?.kind === kind) change(now as Extract<RatedOther, { kind: K }>);
		});
	}
	/** What the nylon comes to in the commonest backing: the same volume. */
	const USUAL = BACKING_MATERIALS[0]!;
	const same = $derived.by(() => {
		if (other.kind !== 'nylon') return undefined;
		const thick = parseLength(other.diameter, smallUnit(units));
		const long = parseLength(fit.form.spool.ratings[index]!.length, longUnit(units));
		if (!thick.ok || !long.ok || !(long.value > toMm(1, 'm'))) return undefined;
		return showLong((long.value * thick.value ** 2) / USUAL.diameterMm ** 2, units);
	});
</script>

{#if other.kind === 'head'}
	a <Select
		inline
		label="Density on the box"
		options={densityOptions.map(({ value, label }) => ({ value, label: label.toLowerCase() }))}
		value={other.density}
		onchange={(density) => set('head', (head) => (head.density = density))}
	/> head of <LengthField
		{fit}
		inline
		unit="g"
		label="Weight on the box"
		path={[...path, 'mass']}
		get={(form) => (of(form) as { mass?: string }).mass ?? ''}
		set={(form, value) => {
			const now = of(form);
			if (now?.kind === 'head') now.mass = value;
		}}
		placeholder="450 gr"
	/>, <LengthField
		{fit}
		inline
		unit={longUnit(units)}
		label="Head's length on the box"
		path={[...path, 'length']}
		get={(form) => (of(form) as { length?: string }).length ?? ''}
		set={(form, value) => {
			const now = of(form);
			if (now?.kind === 'head') now.length = value;
		}}
		placeholder="36 ft"
	/> long
	<Select
		inline
		label="Or its two-handed class"
		options={twoHandedOptions}
		value=""
		onchange={(chosen) => {
			const weight = weightOfClass(chosen);
			if (weight) set('head', (head) => (head.mass = weight));
		}}
	/>
{:else}
	nylon of <LengthField
		{fit}
		inline
		unit={smallUnit(units)}
		label="Thickness of the nylon"
		path={[...path, 'diameter']}
		get={(form) => (of(form) as { diameter?: string }).diameter ?? ''}
		set={(form, value) => {
			const now = of(form);
			if (now?.kind === 'nylon') now.diameter = value;
		}}
		placeholder="0.30"
	/>{#if same}<span class="text-soft">
			(as much room as {same} of {USUAL.short}: Wendle goes by volume)</span
		>{/if}
{/if}
