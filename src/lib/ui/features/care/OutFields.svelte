<script lang="ts">
	import NumberField from '../../primitives/NumberField.svelte';
	import Select from '../../primitives/Select.svelte';

	/** So many days out, and in what water. */
	interface Props {
		days: number;
		water: 'fresh' | 'salt';
		onchange: (out: { days: number; water: 'fresh' | 'salt' }) => void;
	}
	let { days, water, onchange }: Props = $props();
	const WATERS = [
		{ value: 'fresh', label: 'fresh' },
		{ value: 'salt', label: 'salt' }
	] as const;
</script>

<div class="sm:w-20">
	<NumberField
		label="Days"
		value={days}
		min={1}
		max={366}
		onchange={(value) => onchange({ days: value ?? 1, water })}
	/>
</div>
<div class="sm:w-28">
	<Select
		label="Water"
		options={WATERS}
		value={water}
		onchange={(value) => onchange({ days, water: value })}
	/>
</div>
