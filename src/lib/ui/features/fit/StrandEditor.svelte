<script lang="ts">
	import { roleName } from '$lib/wording/strands';
	import X from '@lucide/svelte/icons/x';
	import { ROLE_COLOURS } from '../../charts/section/layers';
	import { usePreferences } from '../../state/preferences.svelte';
	import ComponentFields from './ComponentFields.svelte';
	import type { FitState } from './fit-state.svelte';
	import TaperChart from './TaperChart.svelte';

	/** Everything about one strand of the stack, opened from its phrase or from the thread. */
	interface Props {
		fit: FitState;
		index: number;
		onselect: (id: string | undefined) => void;
	}
	let { fit, index, onselect }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const component = $derived(fit.form.fill.stack[index]!);
	const part = $derived(fit.stale ? undefined : fit.workout?.parts.find(({ id }) => id === component.id));
	const sections = $derived(
		fit.workout?.stack[fit.workout.parts.findIndex(({ id }) => id === component.id)]?.sections
	);
</script>

<div class="space-y-2.5 border-l-[3px] border-ink pl-3">
	<div class="flex items-center justify-between">
		<h3 class="figure text-[14px] font-semibold">{roleName(component.role)}</h3>
		<button
			type="button"
			class="grid size-6 place-items-center text-soft hover:text-ink"
			aria-label="Close"
			onclick={() => onselect(undefined)}><X size={15} /></button
		>
	</div>
	{#key component.id}
		<ComponentFields {fit} {index} {onselect} />
	{/key}
	{#if part && sections && part.role !== 'backing' && part.role !== 'bed'}
		<TaperChart
			{sections}
			densityGPerCm3={part.densityGPerCm3}
			{units}
			label={part.label}
			colour={ROLE_COLOURS[part.role]}
			whole={part.role === 'line'}
		/>
	{/if}
</div>
