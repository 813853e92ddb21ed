<script lang="ts" generics="V extends string">
	import { RadioGroup } from 'bits-ui';

	interface Props {
		/** What is chosen between, for a screen reader; shown when `shown`. */
		label: string;
		options: readonly { value: V; label: string }[];
		value: V;
		onchange: (value: V) => void;
		shown?: boolean;
	}
	let { label, options, value, onchange, shown = false }: Props = $props();
	const id = $props.id();
</script>

<div>
	<span {id} class={shown ? 'figure mb-1 block text-[13px] text-soft' : 'sr-only'}>{label}</span>
	<RadioGroup.Root
		aria-labelledby={id}
		{value}
		onValueChange={(next) => onchange(next as V)}
		orientation="horizontal"
		class="flex overflow-hidden rounded-[3px] border border-ink"
	>
		{#each options as option (option.value)}
			<RadioGroup.Item
				value={option.value}
				class="min-h-8 flex-1 px-2 py-1 text-[14px] leading-tight -outline-offset-2 data-[state=checked]:bg-ink data-[state=checked]:text-paper"
			>
				{option.label}
			</RadioGroup.Item>
		{/each}
	</RadioGroup.Root>
</div>
