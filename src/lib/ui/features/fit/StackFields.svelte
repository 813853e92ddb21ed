<script lang="ts">
	import { ROLES, type Role, type WindingHand } from '$lib/core';
	import { PRESETS } from '$lib/setup/presets';
	import { MAX_COMPONENTS } from '$lib/setup/limits';
	import { leaderUnit, showSmall, smallUnit } from '$lib/wording/units';
	import { roleName } from '$lib/wording/strands';
	import { ROLE_COLOURS } from '../../charts/section/layers';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import ComponentFields from './ComponentFields.svelte';
	import type { FitState } from './fit-state.svelte';
	import HowTied from './HowTied.svelte';
	import LengthField from './LengthField.svelte';
	import { arborTurnOptions, windingOptions } from './options';
	import TaperChart from './TaperChart.svelte';

	interface Props {
		fit: FitState;
		selected: string;
		onselect: (id: string) => void;
	}
	let { fit, selected, onselect }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const fill = $derived(fit.form.fill);
	const index = $derived(
		Math.max(
			fill.stack.findIndex(({ id }) => id === selected),
			0
		)
	);
	const part = $derived(fit.stale ? undefined : fit.workout?.parts.find(({ id }) => id === selected));
	const sections = $derived(
		fit.workout?.stack[fit.workout.parts.findIndex(({ id }) => id === selected)]?.sections
	);

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
		return fit.stale ? '' : GAP_NAMES.find(([below]) => gapMm < below)![1];
	});

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
		if (preset) onselect(fit.beginWith(preset));
	}

	const ASSUMED: Record<WindingHand, string> = {
		machine: 'Assumes winding at an even machine tension.',
		firm: 'Assumes firm, even winding.',
		loose: 'Assumes loose winding.'
	};
</script>

<section class="space-y-2.5" aria-label="Stack" data-part="stack">
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
	{#key `${selected}/${fill.stack[index]?.id}`}
		<ComponentFields {fit} {index} {onselect} />
	{/key}
	{#if part && sections && part.role !== 'backing' && part.role !== 'bed'}
		<TaperChart
			{sections}
			densityGPerCm3={part.densityGPerCm3}
			{units}
			label={part.label}
			colour={ROLE_COLOURS[part.role]}
		/>
	{/if}
</section>

<section class="space-y-2.5" aria-label="Winding" data-part="winding">
	<h2 class="text-[15px] font-semibold">Winding</h2>
	<div class="grid grid-cols-[1.5fr_1fr] gap-4">
		<Select
			label="Wound"
			options={windingOptions}
			value={fill.winding}
			onchange={(winding) => fit.change((form) => (form.fill.winding = winding))}
		/>
		<div data-part="gap">
			<LengthField
				{fit}
				unit={smallUnit(units)}
				label="Gap to leave"
				path={['fill', 'gap']}
				get={({ fill }) => fill.gap}
				set={({ fill }, value) => (fill.gap = value)}
				aside={gapName}
			/>
		</div>
	</div>
	<p class="text-[13.5px] text-soft">
		{ASSUMED[fill.winding]} The stop depth doesn't depend on it, nor on how thick the backing is: it stays {showSmall(
			fit.workout?.fit.layers[fit.workout.stopIndex]?.depthMm ?? 0,
			units
		)}.
	</p>
	<div class="grid grid-cols-2 gap-4">
		<div data-part="arbor">
			<Select
				label="Round the arbor"
				options={arborTurnOptions}
				value={fill.arborTurns}
				onchange={(turns) => fit.change((form) => (form.fill.arborTurns = turns))}
			/>
			<div class="mt-2"><HowTied {fit} id="arbor" /></div>
		</div>
		<div data-part="leader">
			<LengthField
				{fit}
				unit={leaderUnit(units)}
				label="Leader"
				path={['fill', 'leader']}
				get={({ fill }) => fill.leader}
				set={({ fill }, value) => (fill.leader = value)}
				aside=""
			/>
		</div>
	</div>
</section>
