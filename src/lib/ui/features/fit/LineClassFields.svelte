<script lang="ts">
	import type { LineClass } from '$lib/core';
	import Select from '../../primitives/Select.svelte';
	import { densityOptions, numberOptions, taperOptions } from './options';

	interface Props {
		value: LineClass;
		onchange: (value: LineClass) => void;
	}
	let { value, onchange }: Props = $props();
</script>

<div class="grid grid-cols-[1.35fr_0.6fr_1fr] gap-2">
	<Select
		label="Taper"
		options={taperOptions}
		value={value.taper}
		onchange={(taper) => onchange({ ...value, taper })}
	/>
	<Select
		label="Class"
		options={numberOptions}
		value={value.number}
		onchange={(number) => onchange({ ...value, number })}
	/>
	<Select
		label="Density"
		options={densityOptions}
		value={value.density}
		onchange={(density) => onchange({ ...value, density })}
	/>
</div>
