<script lang="ts">
	import NumberInput from './NumberInput.svelte';

	/** A plain number; one that is out of bounds is not taken over, and shown again as it was. */
	interface Props {
		label: string;
		value: number | undefined;
		min: number;
		max: number;
		step?: number;
		/** Undefined when it was emptied, where that may be. */
		onchange: (value: number | undefined) => void;
		/** It may be left empty. */
		empty?: boolean;
		/** Label for a screen reader only. */
		quiet?: boolean;
	}
	let { label, value, min, max, step = 1, onchange, empty = false, quiet = false }: Props = $props();
	const id = $props.id();
</script>

<div class="min-w-0">
	<label for={id} class={quiet ? 'sr-only' : 'block text-[13px] text-soft'}>{label}</label>
	<NumberInput
		{id}
		{min}
		{max}
		{step}
		{value}
		{empty}
		{onchange}
		class="figure w-full border-b-[1.5px] border-ink bg-transparent py-1 text-[17px] font-medium"
	/>
</div>
