<script lang="ts">
	import { ROLE_NAMES, type Role } from '$lib/core';
	import { newComponent } from '$lib/setup/presets';
	import type { ComponentForm } from '$lib/setup/form';
	import ArrowLeft from '@lucide/svelte/icons/arrow-left';
	import ArrowRight from '@lucide/svelte/icons/arrow-right';
	import Trash from '@lucide/svelte/icons/trash-2';
	import Segmented from '../../primitives/Segmented.svelte';
	import Select from '../../primitives/Select.svelte';
	import ColourField from './ColourField.svelte';
	import type { FitState } from './fit-state.svelte';
	import HowTied from './HowTied.svelte';
	import MadeFields from './MadeFields.svelte';
	import { jointOptions, roleOptions, waysOf } from './strand-options';

	/** The editor of one component of the stack: what it is, how it is known, how long, how it is joined. */
	interface Props {
		fit: FitState;
		index: number;
		onselect: (id: string) => void;
	}
	let { fit, index, onselect }: Props = $props();
	const component = $derived(fit.form.fill.stack[index]!);
	const last = $derived(fit.form.fill.stack.length - 1);
	const canSolve = $derived(component.made.way === 'material' || component.made.way === 'level');

	const edit = (change: (component: ComponentForm) => void): void =>
		fit.change(({ fill }) => change(fill.stack[index]!));

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

	function remove(): void {
		const next = fit.form.fill.stack[index + (index < last ? 1 : -1)]!.id;
		fit.removeComponent(component.id);
		onselect(next);
	}
	const move = (by: number): void =>
		fit.change(({ fill }) => fill.stack.splice(index + by, 0, ...fill.stack.splice(index, 1)));
	const button = 'grid size-7 place-items-center text-soft hover:text-ink disabled:opacity-30';
</script>

<div class="space-y-2.5" data-component={component.id}>
	<MadeFields {fit} list="stack" {index} role={component.role} solved={component.solve}>
		{#snippet before()}
			<div class="min-w-0 flex-1">
				<Select label="Part" options={roleOptions} value={component.role} onchange={setRole} />
			</div>
		{/snippet}
		{#snippet after()}
			<div class="flex">
				<button
					type="button"
					class={button}
					aria-label="Move the {component.role} toward the arbor"
					disabled={index === 0}
					onclick={() => move(-1)}><ArrowLeft size={15} /></button
				>
				<button
					type="button"
					class={button}
					aria-label="Move the {component.role} toward the fly"
					disabled={index === last}
					onclick={() => move(1)}><ArrowRight size={15} /></button
				>
				<button
					type="button"
					class={button}
					aria-label="Remove the {component.role}"
					disabled={last === 0}
					onclick={remove}><Trash size={15} /></button
				>
			</div>
		{/snippet}
	</MadeFields>
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
	<div class="grid grid-cols-2 items-end gap-4">
		{#if index > 0}
			<Select
				label={`Joint to the ${ROLE_NAMES[fit.form.fill.stack[index - 1]!.role]}`}
				options={jointOptions(fit.form.fill.stack[index - 1]!.role, component.role, component.joint)}
				value={component.joint}
				onchange={(joint) => edit((component) => (component.joint = joint))}
			/>
		{/if}
		<ColourField {fit} {index} />
	</div>
	{#if index > 0}
		<HowTied {fit} id={component.id} />
	{/if}
</div>
