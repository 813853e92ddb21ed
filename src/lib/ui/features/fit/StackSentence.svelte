<script lang="ts">
	import { ROLE_NAMES, type Role } from '$lib/core';
	import type { ComponentForm } from '$lib/setup/form';
	import { longUnit, smallUnit } from '$lib/wording/units';
	import { roleName } from '$lib/wording/strands';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import Word from '../../primitives/Word.svelte';
	import type { FitState } from './fit-state.svelte';
	import LengthField from './LengthField.svelte';
	import LineCode from './LineCode.svelte';
	import MoreButton from './MoreButton.svelte';
	import { materialOptions } from './options';

	/** What goes on, as a person would say it, from the fly to the arbor. Each strand opens its editor. */
	let { fit }: { fit: FitState } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const stack = $derived(fit.form.fill.stack);
	const outerFirst = $derived(stack.map((component, i) => ({ component, i })).reverse());

	const UNDER: Partial<Record<Role, string>> = { backing: 'over', bed: 'on a bed of' };
	const joins = ({ role }: ComponentForm, i: number): string =>
		i === stack.length - 1 ? "I'm putting on" : (UNDER[role] ?? 'on');
	const named = ({ id, role, note }: ComponentForm): string =>
		fit.workout?.parts.find((part) => part.id === id)?.label || note || roleName(role);
	const toggle = (id: string): void => void (fit.selected = fit.selected === id ? undefined : id);

	/** What practitioners call a gap of this size. Common practice. */
	const GAP_NAMES: readonly [number, string][] = [
		[2, 'too tight'],
		[3.5, 'just clears'],
		[6, 'a little space'],
		[8, 'a pencil'],
		[Infinity, 'roomy']
	];
	const gapName = $derived.by(() => {
		const gapMm = fit.workout?.problem.gapMm ?? 4;
		return fit.stale ? '' : `(${GAP_NAMES.find(([below]) => gapMm < below)![1]})`;
	});
</script>

<div class="sentence">
	{#each outerFirst as { component, i } (component.id)}
		{@const { made, id, role } = component}
		{joins(component, i)}
		{#if made.way === 'class'}
			<LineCode
				bare
				label={roleName(role)}
				value={made.class}
				onchange={(line) =>
					fit.change(({ fill }) => {
						const { made } = fill.stack[i]!;
						if (made.way === 'class') made.class = line;
					})}
			/>
		{:else if made.way === 'material'}
			{#if !component.solve}
				<LengthField
					{fit}
					inline
					unit={longUnit(units)}
					label="Length of the {ROLE_NAMES[role]}"
					path={['fill', 'stack', i, 'length']}
					get={({ fill }) => fill.stack[i]?.length ?? ''}
					set={({ fill }, value) => (fill.stack[i]!.length = value)}
				/> of
			{/if}
			<Select
				inline
				label="Material of the {ROLE_NAMES[role]}"
				options={materialOptions}
				value={made.material}
				onchange={(material) =>
					fit.change(({ fill }) => {
						const { made } = fill.stack[i]!;
						if (made.way === 'material') made.material = material;
					})}
			/>
		{:else}
			<button
				type="button"
				class="border-b-[1.5px] border-ink text-left font-medium"
				onclick={() => toggle(id)}>{named(component)}</button
			>
		{/if}<MoreButton
			label="More about the {ROLE_NAMES[role]}"
			open={fit.selected === id}
			onclick={() => toggle(id)}
		/>{/each}
	<span data-part="gap"
		>with a <Word term="gap">gap</Word> of <LengthField
			{fit}
			inline
			unit={smallUnit(units)}
			label="Gap to leave"
			path={['fill', 'gap']}
			get={({ fill }) => fill.gap}
			set={({ fill }, value) => (fill.gap = value)}
			aside=""
		/>
		<span class="text-[15px] text-soft">{gapName}</span></span
	>
</div>
