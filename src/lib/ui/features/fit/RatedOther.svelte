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
	const rated = (form: FitState['form']): RatedOther | undefined => form.spool.ratings[index]!.other;
	/** A typed quantity of the figure, as {@link LengthField} reads and writes it. */
	const typed = (key: 'mass' | 'length' | 'diameter') => ({
		path: ['spool', 'ratings', index, 'other', key],
		get: (form: FitState['form']): string => {
			const now: Partial<Record<typeof key, string>> = rated(form) ?? {};
			return now[key] ?? '';
		},
		set: (form: FitState['form'], value: string): void => {
			const now = rated(form);
			if (now && key in now) Object.assign(now, { [key]: value });
		}
	});
	const changeHead = (change: Partial<Extract<RatedOther, { kind: 'head' }>>): void =>
		fit.change((form) => {
			const now = rated(form);
			if (now?.kind === 'head') Object.assign(now, change);
		});
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
		onchange={(density) => changeHead({ density })}
	/> head of <LengthField
		{fit}
		inline
		unit="g"
		label="Weight on the box"
		{...typed('mass')}
		placeholder="450 gr"
	/>, <LengthField
		{fit}
		inline
		unit={longUnit(units)}
		label="Head's length on the box"
		{...typed('length')}
		placeholder="36 ft"
	/> long
	<Select
		inline
		label="Or its two-handed class"
		options={twoHandedOptions}
		value=""
		onchange={(chosen) => {
			const weight = weightOfClass(chosen);
			if (weight) changeHead({ mass: weight });
		}}
	/>
{:else}
	nylon of <LengthField
		{fit}
		inline
		unit={smallUnit(units)}
		label="Thickness of the nylon"
		{...typed('diameter')}
		placeholder="0.30"
	/>{#if same}<span class="text-soft">
			(as much room as {same} of {USUAL.short}: Wendle goes by volume)</span
		>{/if}
{/if}
