<script lang="ts">
	import { formatLength, parseLength } from '$lib/core';
	import { longUnit, smallUnit } from '$lib/wording/units';
	import Field from '../../primitives/Field.svelte';
	import { usePreferences } from '../../state/preferences.svelte';

	/** A length as it is typed, in whatever unit; taken over when it can be read. */
	interface Props {
		label: string;
		valueMm: number;
		leastMm: number;
		mostMm?: number;
		/** What calipers read, not what is bought. */
		small?: boolean;
		onchange: (mm: number) => void;
	}
	let { label, valueMm, leastMm, mostMm = 1_000_000, small = false, onchange }: Props = $props();
	const preferences = usePreferences();
	const unit = $derived((small ? smallUnit : longUnit)(preferences.units));
	/** What is being typed; none once it is taken over. */
	let typed = $state<string>();
	const shown = $derived(
		typed ?? formatLength(valueMm, unit, unit === 'mm' || Number.isInteger(valueMm / 914.4) ? 0 : 1)
	);

	function readMm(text: string): number | undefined {
		const read = parseLength(text, unit);
		return read.ok && read.value >= leastMm && read.value <= mostMm ? read.value : undefined;
	}
</script>

<Field
	{label}
	value={shown}
	error={typed !== undefined && readMm(typed) === undefined
		? `Give a length, like ${formatLength(Math.min(27_432, mostMm / 10), unit, 0)}.`
		: undefined}
	oninput={(text) => {
		typed = text;
		const mm = readMm(text);
		if (mm !== undefined) onchange(mm);
	}}
	oncommit={(text) => {
		if (readMm(text) !== undefined) typed = undefined;
	}}
/>
