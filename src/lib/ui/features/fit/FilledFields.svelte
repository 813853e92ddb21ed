<script lang="ts">
	import { longUnit, smallUnit } from '$lib/wording/units';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { FitState } from './fit-state.svelte';
	import LengthField from './LengthField.svelte';
	import LineClassFields from './LineClassFields.svelte';
	import { materialOptions } from './options';

	/** The spool by what is on it now: this line, so much of that backing, and the gap they leave. */
	let { fit }: { fit: FitState } = $props();
	const preferences = usePreferences();
	const filled = $derived(fit.form.spool.filled);
</script>

<div class="border-l-2 border-hair pl-3" role="group" aria-label="What is on it now">
	<LineClassFields
		value={filled.line}
		onchange={(line) => fit.change((form) => (form.spool.filled.line = line))}
	/>
	<div class="mt-2 grid grid-cols-[0.9fr_1.4fr] gap-3">
		<LengthField
			{fit}
			unit={longUnit(preferences.units)}
			label="and backing of"
			path={['spool', 'filled', 'length']}
			get={({ spool }) => spool.filled.length}
			set={({ spool }, value) => (spool.filled.length = value)}
			placeholder="90"
		/>
		<Select
			label="of"
			options={materialOptions}
			value={filled.material}
			onchange={(material) => fit.change((form) => (form.spool.filled.material = material))}
		/>
	</div>
	<div class="mt-2">
		<LengthField
			{fit}
			unit={smallUnit(preferences.units)}
			label="leave a gap of"
			path={['spool', 'filled', 'gap']}
			get={({ spool }) => spool.filled.gap}
			set={({ spool }, value) => (spool.filled.gap = value)}
			placeholder="measured from line to frame, or to rim"
		/>
	</div>
</div>
