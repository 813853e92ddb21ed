<script lang="ts">
	import { DENSITIES, findMaterial, type Density, type Role } from '$lib/core';
	import { MAX_TAPER_ROWS, newComponent } from '$lib/schema/new-setup';
	import { roleName } from '$lib/schema/parts';
	import type { ComponentForm, Made } from '$lib/schema/setup';
	import { longUnit, smallUnit } from '$lib/schema/units';
	import ArrowLeft from '@lucide/svelte/icons/arrow-left';
	import ArrowRight from '@lucide/svelte/icons/arrow-right';
	import Trash from '@lucide/svelte/icons/trash-2';
	import Segmented from '../../primitives/Segmented.svelte';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { FitState } from './fit-state.svelte';
	import LengthField from './LengthField.svelte';
	import LineClassFields from './LineClassFields.svelte';
	import { densityOptions, jointOptions, materialOptions, roleOptions } from './options';
	import TaperRows from './TaperRows.svelte';

	/** The editor of one component of the stack: what it is, how it is known, how long, how it is joined. */
	interface Props {
		fit: FitState;
		index: number;
		onselect: (id: string) => void;
	}
	let { fit, index, onselect }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const component = $derived(fit.form.fill.stack[index]!);
	const made = $derived(component.made);
	const path = $derived(['fill', 'stack', index]);
	const last = $derived(fit.form.fill.stack.length - 1);

	type Way = Made['way'];
	const WAYS: Record<Way, string> = {
		material: 'By material',
		class: 'By class',
		weighed: 'Weighed',
		table: 'By table',
		level: 'By diameter'
	};
	/** Ways that make sense for a role. */
	const waysOf = (role: Role): readonly Way[] =>
		role === 'bed' || role === 'backing'
			? ['material', 'level']
			: role === 'line'
				? ['class', 'weighed', 'table', 'level']
				: role === 'head'
					? ['table', 'class', 'weighed', 'level']
					: ['level', 'table', 'class', 'weighed'];

	const edit = (change: (component: ComponentForm) => void): void =>
		fit.change(({ fill }) => change(fill.stack[index]!));

	/** Another way of knowing it, keeping what still applies. */
	function setWay(way: Way): void {
		edit((component) => {
			const density: Density =
				'density' in component.made
					? component.made.density
					: 'class' in component.made
						? component.made.class.density
						: 'F';
			const lineClass =
				'class' in component.made
					? component.made.class
					: ({ taper: 'WF', number: fit.workout?.line.number ?? 5, density } as const);
			const fresh = newComponent(component.id, 'head').made;
			const diameter = 'diameter' in component.made ? component.made.diameter : '';
			const made: Record<Way, () => Made> = {
				material: () => ({ way, material: 'polyester-20', diameter }) as Made,
				class: () => ({ way, class: lineClass }) as Made,
				weighed: () => ({ way, class: lineClass, mass: '' }) as Made,
				table: () => ({ ...fresh, density }) as Made,
				level: () => ({ way, density, diameter }) as Made
			};
			component.made = made[way]();
			if (way !== 'material' && way !== 'level') component.solve = false;
		});
	}

	function setRole(role: Role): void {
		edit((component) => {
			component.role = role;
			if (!waysOf(role).includes(component.made.way)) component.made = newComponent('', role).made;
		});
	}

	/** This one's length is looked for, and no other's. */
	function setSolve(solve: boolean): void {
		fit.change(({ fill }) => {
			for (const [i, other] of fill.stack.entries())
				if (i === index || solve) other.solve = solve && i === index;
		});
	}

	function move(by: number): void {
		fit.change(({ fill }) => fill.stack.splice(index + by, 0, ...fill.stack.splice(index, 1)));
	}
	function remove(): void {
		const next = fit.form.fill.stack[index + (index < last ? 1 : -1)]!.id;
		fit.removeComponent(component.id);
		onselect(next);
	}

	const catalogue = $derived.by(() => {
		if (made.way !== 'material') return '';
		const material = findMaterial(made.material);
		const mm = material.ok ? material.value.diameterMm : 0;
		return smallUnit(units) === 'mm' ? `${mm.toFixed(2)} mm` : `${(mm / 25.4).toFixed(3)} in`;
	});
	const canSolve = $derived(made.way === 'material' || made.way === 'level');
	const lengthLabel = $derived(made.way === 'class' || made.way === 'weighed' ? 'Whole length' : 'Length');
	const usual = $derived(
		made.way === 'class' || made.way === 'weighed'
			? made.class.number < 8
				? '30 yd, as usual'
				: '33 yd, as usual'
			: ''
	);
</script>

<div class="space-y-2.5" data-component={component.id}>
	<div class="flex items-end gap-2">
		<div class="min-w-0 flex-1">
			<Select label="Part" options={roleOptions} value={component.role} onchange={setRole} />
		</div>
		<div class="min-w-0 flex-1">
			<Select
				label="Known"
				options={waysOf(component.role).map((value) => ({ value, label: WAYS[value] }))}
				value={made.way}
				onchange={setWay}
			/>
		</div>
		<div class="flex">
			<button
				type="button"
				class="grid size-7 place-items-center text-soft hover:text-ink disabled:opacity-30"
				aria-label="Move the {component.role} toward the arbor"
				disabled={index === 0}
				onclick={() => move(-1)}><ArrowLeft size={15} /></button
			>
			<button
				type="button"
				class="grid size-7 place-items-center text-soft hover:text-ink disabled:opacity-30"
				aria-label="Move the {component.role} toward the fly"
				disabled={index === last}
				onclick={() => move(1)}><ArrowRight size={15} /></button
			>
			<button
				type="button"
				class="grid size-7 place-items-center text-soft hover:text-ink disabled:opacity-30"
				aria-label="Remove the {component.role}"
				disabled={last === 0}
				onclick={remove}><Trash size={15} /></button
			>
		</div>
	</div>

	{#if made.way === 'material'}
		<div class="grid grid-cols-[1.5fr_1fr] gap-4">
			<Select
				label="Material"
				options={materialOptions}
				value={made.material}
				onchange={(material) =>
					edit(({ made }) => {
						if (made.way === 'material') made.material = material;
					})}
			/>
			<LengthField
				{fit}
				unit={smallUnit(units)}
				label="Ø if measured"
				path={[...path, 'made', 'diameter']}
				get={({ fill }) => {
					const made = fill.stack[index]?.made;
					return made?.way === 'material' ? made.diameter : '';
				}}
				set={({ fill }, value) => {
					const { made } = fill.stack[index]!;
					if (made.way === 'material') made.diameter = value;
				}}
				placeholder={catalogue}
				aside=""
			/>
		</div>
	{:else if made.way === 'class' || made.way === 'weighed'}
		<LineClassFields
			value={made.class}
			onchange={(value) =>
				edit(({ made }) => {
					if ('class' in made) made.class = value;
				})}
		/>
		{#if made.way === 'weighed'}
			<LengthField
				{fit}
				unit="g"
				label="Weight of the whole line"
				path={[...path, 'made', 'mass']}
				get={({ fill }) => {
					const made = fill.stack[index]?.made;
					return made?.way === 'weighed' ? made.mass : '';
				}}
				set={({ fill }, value) => {
					const { made } = fill.stack[index]!;
					if (made.way === 'weighed') made.mass = value;
				}}
				placeholder="without its spool"
			/>
		{/if}
	{:else if made.way === 'level'}
		<div class="grid grid-cols-[1fr_1.2fr] gap-4">
			<Select
				label="Density"
				options={densityOptions}
				value={made.density}
				onchange={(density) =>
					edit(({ made }) => {
						if (made.way === 'level') made.density = density;
					})}
			/>
			<LengthField
				{fit}
				unit={smallUnit(units)}
				label="Ø"
				path={[...path, 'made', 'diameter']}
				get={({ fill }) => {
					const made = fill.stack[index]?.made;
					return made?.way === 'level' ? made.diameter : '';
				}}
				set={({ fill }, value) => {
					const { made } = fill.stack[index]!;
					if (made.way === 'level') made.diameter = value;
				}}
			/>
		</div>
	{:else}
		<TaperRows {fit} {index} max={MAX_TAPER_ROWS} />
	{/if}
	{#if made.way === 'material' || made.way === 'level'}
		<p class="text-[13.5px] text-soft">
			From a rule: <q>20 wraps in 11 mm</q>. From a scale: <q>2.1 g in 10 m</q>, at {made.way === 'material'
				? (() => {
						const material = findMaterial(made.material);
						return material.ok ? material.value.density.gPerCm3.toFixed(2) : '1.00';
					})()
				: DENSITIES[made.density].gPerCm3.toFixed(2)} g/cm³, an assumption.
		</p>
	{/if}

	<div class="grid grid-cols-2 gap-4">
		{#if made.way !== 'table' && !component.solve}
			<LengthField
				{fit}
				unit={longUnit(units)}
				label={lengthLabel}
				path={[...path, 'length']}
				get={({ fill }) => fill.stack[index]?.length ?? ''}
				set={({ fill }, value) => (fill.stack[index]!.length = value)}
				placeholder={usual}
			/>
		{/if}
		{#if index > 0}
			<Select
				label="Joined under it by"
				options={jointOptions}
				value={component.joint}
				onchange={(joint) => edit((component) => (component.joint = joint))}
			/>
		{/if}
	</div>
	{#if canSolve}
		<Segmented
			label="Its length"
			options={[
				{ value: 'solve', label: 'find how much fits' },
				{ value: 'given', label: 'I say how much' }
			]}
			value={component.solve ? 'solve' : 'given'}
			onchange={(value) => setSolve(value === 'solve')}
		/>
	{/if}
	<span class="sr-only">{roleName(component.role)}</span>
</div>
