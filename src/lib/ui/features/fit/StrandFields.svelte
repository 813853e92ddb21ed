<script lang="ts">
	import { ROLE_NAMES, standardLengthMm, withUnit } from '$lib/core';
	import { readBrought } from '$lib/inventory/strands';
	import { longUnit, showLong, smallUnit } from '$lib/wording/units';
	import { wordIssue } from '$lib/wording/issues';
	import Field from '../../primitives/Field.svelte';
	import Select from '../../primitives/Select.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import LineClassFields from './LineClassFields.svelte';
	import { densityOptions } from './options';
	import { componentOf, newStrand, STRAND_ROLES, USUAL, type StrandText } from './strand-text';

	/** What a strand is, in a few words: four cells of the form around it. */
	interface Props {
		/** How the first field is called: what the strand is to the person. */
		label: string;
		value: StrandText;
		onchange: (value: StrandText) => void;
	}
	let { label, value, onchange }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const issues = $derived.by(() => {
		const read = readBrought({ id: '', component: { ...componentOf(value, units), solve: false } });
		return read.ok ? [] : read.issues;
	});
	/** What is wrong with a field. */
	function wrong(field: string): string | undefined {
		const issue = issues.find(({ path }) => path.at(-1) === field);
		return issue && wordIssue(issue).message;
	}
	const change = (part: Partial<StrandText>): void => onchange({ ...value, ...part });
</script>

<Select
	{label}
	options={STRAND_ROLES.map((role) => ({ value: role, label: ROLE_NAMES[role] }))}
	value={value.role}
	onchange={(role) => onchange({ ...newStrand(role), called: value.called })}
/>
{#if value.role === 'line'}
	<LineClassFields value={value.line} onchange={(line) => change({ line })} />
{:else}
	<div class="grid grid-cols-2 gap-5">
		{#if value.role === 'running-line'}
			<Field
				label="Diameter"
				value={value.diameter}
				placeholder={USUAL[value.role].diameter}
				error={wrong('diameter')}
				oninput={(diameter) => change({ diameter })}
				oncommit={(diameter) => change({ diameter: withUnit(diameter, smallUnit(units)) })}
			/>
		{:else}
			<Field
				label="Weight"
				value={value.weight}
				placeholder={USUAL[value.role].weight}
				error={wrong('mass')}
				oninput={(weight) => change({ weight })}
				oncommit={(weight) => change({ weight: withUnit(weight, 'g') })}
			/>
		{/if}
		<Select
			label="Density"
			options={densityOptions}
			value={value.line.density}
			onchange={(density) => change({ line: { ...value.line, density } })}
		/>
	</div>
{/if}
<Field
	label="Length"
	value={value.length}
	placeholder={value.role === 'line'
		? showLong(standardLengthMm(value.line.number), units)
		: USUAL[value.role].length}
	error={wrong('length')}
	oninput={(length) => change({ length })}
	oncommit={(length) => change({ length: withUnit(length, longUnit(units)) })}
/>
<Field label="Called" value={value.called} maxlength={60} oninput={(called) => change({ called })} />
