<script lang="ts">
	import { findMaterial, standardLengthMm, WINDING_HANDS } from '$lib/core';
	import { leaderUnit, longUnit, showLong, showSmall, smallUnit } from '$lib/schema/units';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { FitState } from './fit-state.svelte';
	import LengthField from './LengthField.svelte';
	import LineClassFields from './LineClassFields.svelte';
	import { arborTurnOptions, jointOptions, materialOptions, windingOptions } from './options';

	let { fit }: { fit: FitState } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const fill = $derived(fit.form.fill);
	const catalogueMm = $derived.by(() => {
		const material = findMaterial(fill.backing.material);
		return material.ok ? material.value.diameterMm : 0;
	});
	/** A strand is thinner than a tenth of a millimetre is honest for. */
	const strand = $derived(
		smallUnit(units) === 'mm' ? `${catalogueMm.toFixed(2)} mm` : `${(catalogueMm / 25.4).toFixed(3)} in`
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
</script>

<section class="space-y-2.5" aria-label="Line" data-part="line">
	<h2 class="text-[15px] font-semibold">Line</h2>
	<LineClassFields
		value={fill.line.class}
		onchange={(value) => fit.change((form) => (form.fill.line.class = value))}
	/>
	<LengthField
		{fit}
		unit={longUnit(units)}
		label="Whole length"
		path={['fill', 'line', 'length']}
		get={({ fill }) => fill.line.length}
		set={({ fill }, value) => (fill.line.length = value)}
		placeholder="{showLong(standardLengthMm(fill.line.class.number), units)}, as usual"
	/>
</section>

<section class="space-y-2.5" aria-label="Backing" data-part="backing">
	<h2 class="text-[15px] font-semibold">Backing</h2>
	<div class="grid grid-cols-[1.5fr_1fr] gap-4">
		<Select
			label="Material"
			options={materialOptions}
			value={fill.backing.material}
			onchange={(material) => fit.change((form) => (form.fill.backing.material = material))}
		/>
		<LengthField
			{fit}
			unit={smallUnit(units)}
			label="Ø if measured"
			path={['fill', 'backing', 'diameter']}
			get={({ fill }) => fill.backing.diameter}
			set={({ fill }, value) => (fill.backing.diameter = value)}
			placeholder={strand}
			aside=""
		/>
	</div>
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
		Lay {WINDING_HANDS[fill.winding].layEfficiency.toFixed(2)} of perfect square winding, an assumption. The stop
		depth does not depend on it, nor on the backing's thickness: {showSmall(
			fit.workout?.fit.layers[0]?.depthMm ?? 0,
			units
		)} stays.
	</p>
</section>

<section class="space-y-2.5" aria-label="Knots" data-part="joint">
	<h2 class="text-[15px] font-semibold">Knots and leader</h2>
	<div class="grid grid-cols-3 gap-3">
		<Select
			label="Round the arbor"
			options={arborTurnOptions}
			value={fill.arborTurns}
			onchange={(turns) => fit.change((form) => (form.fill.arborTurns = turns))}
		/>
		<Select
			label="Backing to line"
			options={jointOptions}
			value={fill.joint}
			onchange={(joint) => fit.change((form) => (form.fill.joint = joint))}
		/>
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
