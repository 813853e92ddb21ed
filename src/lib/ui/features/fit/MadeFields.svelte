<script lang="ts">
	import { DENSITIES, findMaterial, type Density, type Role } from '$lib/core';
	import { HEAD_TABLE } from '$lib/setup/presets';
	import { MAX_TAPER_ROWS } from '$lib/setup/limits';
	import type { Made, SetupForm } from '$lib/setup/form';
	import { longUnit, smallUnit, showThickness } from '$lib/wording/units';
	import type { Snippet } from 'svelte';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { FitState } from './fit-state.svelte';
	import LengthField from './LengthField.svelte';
	import LineClassFields from './LineClassFields.svelte';
	import { densityOptions, materialOptions } from './options';
	import { thickAsOptions, twoHandedOptions, WAYS, waysWith, weightOfClass } from './strand-options';

	/** How something that is wound is known, and how long it is: a part of the stack, or what is swapped for one. */
	interface Props {
		fit: FitState;
		/** Where in the form it stands. */
		list: 'stack' | 'swaps';
		index: number;
		role: Role;
		/** Its length is looked for, so there is none to type. */
		solved?: boolean;
		/** Beside the choice of how it is known. */
		before?: Snippet;
		after?: Snippet;
	}
	let { fit, list, index, role, solved = false, before, after }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	type Described = { made: Made; length: string };
	const kept = (form: SetupForm): Described => form.fill[list][index]!;
	const made = $derived(kept(fit.form).made);
	const path = $derived(['fill', list, index]);
	type MadeBy = Made['way'];

	/** Changes what it is made of, when it is known in this way. */
	const edit = <W extends MadeBy>(way: W, change: (made: Extract<Made, { way: W }>) => void): void =>
		fit.change((form) => {
			const { made } = kept(form);
			if (made.way === way) change(made as Extract<Made, { way: W }>);
		});

	/** Another way of knowing it, keeping what still applies. */
	function setWay(way: MadeBy): void {
		const density: Density = 'density' in made ? made.density : 'class' in made ? made.class.density : 'F';
		const number = fit.workout?.line.number ?? 5;
		const line = 'class' in made ? made.class : ({ taper: 'WF', number, density } as const);
		const diameter = 'diameter' in made ? made.diameter : '';
		const fresh: Record<MadeBy, Made> = {
			material: { way: 'material', material: 'polyester-20', diameter },
			class: { way: 'class', class: line },
			weighed: { way: 'weighed', class: line, mass: '' },
			grains: { way: 'grains', density, mass: '' },
			table: HEAD_TABLE(density),
			level: { way: 'level', density, diameter }
		};
		fit.change((form) => {
			kept(form).made = fresh[way];
			if (list === 'stack' && way !== 'material' && way !== 'level') form.fill.stack[index]!.solve = false;
		});
	}

	const material = $derived.by(() => {
		const found = made.way === 'material' ? findMaterial(made.material) : undefined;
		return found?.ok ? found.value : undefined;
	});
	const catalogue = $derived(showThickness(material?.diameterMm ?? 0, units));
	const density = $derived(
		material?.density.gPerCm3 ?? (made.way === 'level' ? DENSITIES[made.density].gPerCm3 : 1)
	);
	const classed = $derived(made.way === 'class' || made.way === 'weighed' ? made.class : undefined);
	const usual = $derived(classed ? (classed.number < 8 ? '30 yd, as usual' : '33 yd, as usual') : '');
	const diameterIn = (form: SetupForm): string => {
		const { made } = kept(form);
		return 'diameter' in made ? made.diameter : '';
	};
	const setDiameter = (form: SetupForm, value: string): void => {
		const { made } = kept(form);
		if ('diameter' in made) made.diameter = value;
	};
</script>

<div class="flex items-end gap-2">
	{@render before?.()}
	<div class="min-w-0 flex-1">
		<Select
			label="Known"
			options={waysWith(role, made.way).map((value) => ({ value, label: WAYS[value] }))}
			value={made.way}
			onchange={setWay}
		/>
	</div>
	{@render after?.()}
</div>

{#if made.way === 'material'}
	<div class="grid grid-cols-[1.5fr_1fr] gap-4">
		<Select
			label="Material"
			options={materialOptions}
			value={made.material}
			onchange={(material) => edit('material', (made) => (made.material = material))}
		/>
		<LengthField
			{fit}
			unit={smallUnit(units)}
			label="Ø if measured"
			path={[...path, 'made', 'diameter']}
			get={diameterIn}
			set={setDiameter}
			placeholder={catalogue}
			aside=""
		/>
	</div>
	{#if material}
		<p class="text-[13.5px] text-soft">
			{material.wears} Backing is chosen by its thickness and how it wears, more than by its pounds.
		</p>
	{/if}
{:else if classed}
	<LineClassFields
		value={classed}
		onchange={(value) =>
			fit.change((form) => {
				const { made } = kept(form);
				if ('class' in made) made.class = value;
			})}
	/>
	{#if made.way === 'weighed'}
		<LengthField
			{fit}
			unit="g"
			label="Weight of the whole line"
			path={[...path, 'made', 'mass']}
			get={(form) => {
				const { made } = kept(form);
				return made.way === 'weighed' ? made.mass : '';
			}}
			set={(form, value) => {
				const { made } = kept(form);
				if (made.way === 'weighed') made.mass = value;
			}}
			placeholder="without its spool"
		/>
	{/if}
{:else if made.way === 'grains'}
	<div class="grid grid-cols-[1fr_1.2fr] gap-4">
		<Select
			label="Density"
			options={densityOptions}
			value={made.density}
			onchange={(density) => edit('grains', (made) => (made.density = density))}
		/>
		<LengthField
			{fit}
			unit="g"
			label="Weight"
			path={[...path, 'made', 'mass']}
			get={(form) => {
				const { made } = kept(form);
				return made.way === 'grains' ? made.mass : '';
			}}
			set={(form, value) => {
				const { made } = kept(form);
				if (made.way === 'grains') made.mass = value;
			}}
			placeholder="420 gr"
		/>
	</div>
	{#if role === 'head'}
		<Select
			label="Two-handed class"
			quiet
			options={twoHandedOptions}
			value=""
			onchange={(chosen) => {
				const mass = weightOfClass(chosen);
				if (mass !== undefined) edit('grains', (made) => (made.mass = mass));
			}}
		/>
		<p class="text-[13.5px] text-soft">
			The same number means another weight in each kind of head. These weights are from memory: what is
			printed on yours counts.
		</p>
	{/if}
{:else if made.way === 'level'}
	{#if role === 'running-line'}
		<Select
			label="About as thick as"
			quiet
			options={thickAsOptions}
			value=""
			onchange={(diameter) => diameter !== '' && edit('level', (made) => (made.diameter = diameter))}
		/>
	{/if}
	<div class="grid grid-cols-[1fr_1.2fr] gap-4">
		<Select
			label="Density"
			options={densityOptions}
			value={made.density}
			onchange={(density) => edit('level', (made) => (made.density = density))}
		/>
		<LengthField
			{fit}
			unit={smallUnit(units)}
			label="Ø"
			path={[...path, 'made', 'diameter']}
			get={diameterIn}
			set={setDiameter}
		/>
	</div>
{:else if made.way === 'table'}
	{#await import('./TaperRows.svelte') then { default: TaperRows }}
		<TaperRows {fit} {list} {index} max={MAX_TAPER_ROWS} />
	{/await}
{/if}
{#if made.way === 'material' || made.way === 'level'}
	<p class="text-[13.5px] text-soft">
		From a rule: <q>20 wraps in {smallUnit(units) === 'in' ? '7/16 in' : '11 mm'}</q>. From a scale:
		<q>{longUnit(units) === 'yd' ? '32 gr in 11 yd' : '2.1 g in 10 m'}</q>, at {density.toFixed(2)} g/cm³, an assumption.
	</p>
{/if}
{#if made.way !== 'table' && !solved}
	<LengthField
		{fit}
		unit={longUnit(units)}
		label={classed ? 'Whole length' : 'Length'}
		path={[...path, 'length']}
		get={(form) => kept(form).length}
		set={(form, value) => (kept(form).length = value)}
		placeholder={usual}
	/>
{/if}
