<script lang="ts" generics="V extends string | number">
	import { tick } from 'svelte';

	interface Props {
		label: string;
		options: readonly { value: V; label: string }[];
		value: V;
		onchange: (value: V) => void;
		/** Label for a screen reader only. */
		quiet?: boolean;
		/** It stands in a sentence: as wide as what is chosen. */
		inline?: boolean;
	}
	let { label, options, value, onchange, quiet = false, inline = false }: Props = $props();
	const id = $props.id();
</script>

<div class={inline ? 'inline' : 'min-w-0'}>
	{#if !quiet && !inline}<label for={id} class="block text-[13px] text-soft">{label}</label>{/if}
	<select
		{id}
		{value}
		aria-label={quiet || inline ? label : undefined}
		class="rounded-none border-b-[1.5px] border-ink bg-transparent font-medium {inline
			? 'field-sizing-content max-w-full'
			: 'h-[2.02rem] w-full py-1 text-[15.5px]'}"
		onchange={async (event) => {
			const select = event.currentTarget;
			onchange(options[select.selectedIndex]!.value);
			// A choice that was not taken over is not shown as taken.
			await tick();
			select.selectedIndex = options.findIndex((option) => option.value === value);
		}}
	>
		{#each options as option (option.value)}
			<option value={option.value} class="bg-paper text-ink">{option.label}</option>
		{/each}
	</select>
</div>
