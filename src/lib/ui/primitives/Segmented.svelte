<script lang="ts" generics="V extends string">
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

<fieldset class="min-w-0">
	<legend class={shown ? 'figure mb-1 text-[13px] text-soft' : 'sr-only'}>{label}</legend>
	<div class="flex overflow-hidden rounded-[3px] border border-ink">
		{#each options as option (option.value)}
			<label
				class="relative grid min-h-8 flex-1 cursor-pointer place-items-center px-2 py-1 text-center text-[14px] leading-tight -outline-offset-4 outline-current has-checked:bg-ink has-checked:text-paper has-focus-visible:outline-2"
			>
				<input
					type="radio"
					name={id}
					value={option.value}
					checked={option.value === value}
					class="absolute inset-0 cursor-pointer opacity-0"
					onchange={() => onchange(option.value)}
				/>
				{option.label}
			</label>
		{/each}
	</div>
</fieldset>
