<script lang="ts">
	import { ROLES, type Role } from '$lib/core';
	import { PRESETS } from '$lib/setup/presets';
	import { MAX_COMPONENTS } from '$lib/setup/limits';
	import { roleName } from '$lib/wording/strands';
	import Select from '../../primitives/Select.svelte';
	import type { FitState } from './fit-state.svelte';
	import StackSentence from './StackSentence.svelte';

	/** What goes on: said in a sentence, each strand with its editor. */
	let { fit }: { fit: FitState } = $props();
	const selected = $derived(fit.selected);
	const onselect = (id: string | undefined): void => void (fit.selected = id);
	const fill = $derived(fit.form.fill);
	const index = $derived(fill.stack.findIndex(({ id }) => id === selected));
	const addOptions = [
		{ value: '' as const, label: 'Add …' },
		...ROLES.filter((role) => role !== 'leader').map((role) => ({ value: role, label: roleName(role) }))
	];
	const presetOptions = [
		{ value: '', label: 'Begin with …' },
		...PRESETS.map(({ slug, label }) => ({ value: slug, label }))
	];
	function add(role: Role | ''): void {
		if (role !== '') onselect(fit.addComponent(role));
	}
	function begin(slug: string): void {
		const preset = PRESETS.find((preset) => preset.slug === slug);
		if (!preset) return;
		fit.beginWith(preset);
		onselect(undefined);
	}
</script>

<section class="space-y-2.5" aria-label="On the spool" data-part="stack">
	<div class="flex items-end gap-2">
		<h2 class="flex-1 text-[15px] font-semibold whitespace-nowrap">On the spool</h2>
		<div class="w-[6.9rem]">
			<Select label="Begin with a stack" quiet options={presetOptions} value="" onchange={begin} />
		</div>
		{#if fill.stack.length < MAX_COMPONENTS}
			<div class="w-[5.6rem]">
				<Select label="Add a part" quiet options={addOptions} value="" onchange={add} />
			</div>
		{/if}
	</div>
	<StackSentence {fit} />
	{#if index >= 0}
		{#await import('./StrandEditor.svelte') then { default: StrandEditor }}
			<StrandEditor {fit} {index} {onselect} />
		{/await}
	{/if}
</section>
