<script lang="ts">
	import { formatNumber, fromMm, parseLength, parseMass, type LengthUnit } from '$lib/core';
	import type { SetupForm } from '$lib/setup/form';
	import Field from '../../primitives/Field.svelte';
	import type { FitState } from './fit-state.svelte';

	/** A length (or a mass) of the set-up: typed with any unit, kept as typed, read back in the shown unit beside it. */
	interface Props {
		fit: FitState;
		label: string;
		path: (string | number)[];
		unit: LengthUnit | 'g';
		get: (form: SetupForm) => string;
		set: (form: SetupForm, value: string) => void;
		placeholder?: string;
		/** Shown where there is no conversion to show. */
		aside?: string;
		/** It stands in a sentence. */
		inline?: boolean;
	}
	let { fit, label, path, unit, get, set, placeholder, aside, inline = false }: Props = $props();

	const DECIMALS: Record<LengthUnit | 'g', number> = { mm: 1, cm: 1, m: 1, in: 3, ft: 1, yd: 1, g: 1 };
	const value = $derived(get(fit.form));
	/** Typed in another unit than the shown one: what it comes to. */
	const converted = $derived.by(() => {
		const read = unit === 'g' ? parseMass(value, unit) : parseLength(value, unit);
		if (!read.ok || value.trim().endsWith(unit) || /^[\d.,\s]*$/.test(value)) return undefined;
		return `= ${formatNumber(unit === 'g' ? read.value : fromMm(read.value, unit), DECIMALS[unit])} ${unit}`;
	});
	const bare = $derived(/^[\d.,\s/-]*$/.test(value));
</script>

<Field
	{inline}
	{label}
	{value}
	placeholder={placeholder ?? ''}
	aside={converted ?? (bare && value !== '' ? unit : (aside ?? (value === '' ? unit : '')))}
	error={fit.error(...path)}
	oninput={(typed) => fit.change((form) => set(form, typed))}
	oncommit={(typed) => {
		const settled = fit.settled(typed, unit);
		if (settled !== value) fit.change((form) => set(form, settled));
	}}
/>
