<script lang="ts" generics="V extends string">
	/** One of several, each with its drawing. */
	interface Props {
		label: string;
		options: readonly { readonly value: V; readonly label: string; readonly picture: string }[];
		value: V;
		onchange: (value: V) => void;
	}
	let { label, options, value, onchange }: Props = $props();
	const id = $props.id();
	/** On a phone only what is chosen is shown, until somebody wants another. */
	let open = $state(false);
</script>

<fieldset class="min-w-0">
	<legend class="mb-1 text-[13px] text-soft">{label}</legend>
	<div
		class="grid gap-2 sm:grid-cols-3 {open ? 'grid-cols-2' : 'max-sm:grid-cols-[minmax(0,1fr)_auto]'}"
		data-picture-choice
	>
		{#each options as option (option.value)}
			<label
				class="relative flex cursor-pointer items-center gap-1 sm:flex-col {open
					? 'flex-col'
					: 'max-sm:not-has-checked:hidden'} rounded-[3px] border border-hair bg-paper p-1.5 text-center text-[13.5px] leading-tight has-checked:border-2 has-checked:border-ink has-checked:font-semibold has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-current"
			>
				<input
					type="radio"
					name={id}
					value={option.value}
					checked={option.value === value}
					class="absolute inset-0 cursor-pointer opacity-0"
					onchange={() => {
						open = false;
						onchange(option.value);
					}}
				/>
				<svg
					viewBox="-2 -2 52 36"
					class="h-9 w-14"
					fill="none"
					stroke="currentColor"
					stroke-width="1.5"
					aria-hidden="true"
				>
					<path d={option.picture} />
				</svg>
				{option.label}
			</label>
		{/each}
		{#if !open}
			<button
				type="button"
				class="action-quiet min-h-10 sm:hidden"
				aria-label="{label}: choose another"
				onclick={() => (open = true)}>Change</button
			>
		{/if}
	</div>
</fieldset>
