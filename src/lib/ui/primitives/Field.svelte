<script lang="ts">
	import type { HTMLInputAttributes } from 'svelte/elements';

	interface Props extends Omit<HTMLInputAttributes, 'value' | 'oninput' | 'onchange'> {
		label: string;
		value: string;
		/** Every keystroke. */
		oninput: (value: string) => void;
		/** Typing is done: the place to make a bare number's unit explicit. */
		oncommit?: (value: string) => void;
		/** Quiet note after the value: the unit a bare number takes, the spread, a conversion. */
		aside?: string;
		/** What is wrong and what to do. Held back while the person is still typing. */
		error?: string | undefined;
		/** It stands in a sentence: as wide as its text, named for a screen reader only. */
		inline?: boolean;
	}
	let { label, value, oninput, oncommit, aside, error, inline = false, ...rest }: Props = $props();
	const id = $props.id();
	/** A message that came up under the pointer would move what is being clicked: it waits a little. */
	const SETTLE_MS = 180;
	let typing = $state(false);
	let settling: ReturnType<typeof setTimeout> | undefined;

	function settle(): void {
		clearTimeout(settling);
		settling = setTimeout(() => (typing = false), SETTLE_MS);
	}
	function type(text: string): void {
		clearTimeout(settling);
		typing = true;
		oninput(text);
	}
	const shownError = $derived(typing ? undefined : error);
</script>

<div class={inline ? 'inline' : 'min-w-0'}>
	{#if !inline}<label for={id} class="block text-[13px] text-soft">{label}</label>{/if}
	<div
		class="items-baseline border-b-[1.5px] {inline ? 'inline-flex gap-1' : 'flex gap-2 py-0.5'} {shownError
			? 'border-warn'
			: 'border-ink'}"
	>
		<input
			{id}
			bind:value={() => value, type}
			aria-label={inline ? label : undefined}
			autocomplete="off"
			spellcheck="false"
			size={inline ? Math.max(value.length, rest.placeholder?.length ?? 0, 2) : undefined}
			class="min-w-0 rounded-sm bg-transparent font-medium placeholder:font-normal placeholder:text-soft {inline
				? 'field-sizing-content max-w-[15rem] min-w-[2.5ch]'
				: 'w-full flex-1 py-0.5 text-[17px]'}"
			aria-invalid={shownError ? true : undefined}
			aria-describedby={shownError ? `${id}-error` : aside ? `${id}-aside` : undefined}
			onchange={(event) => {
				settle();
				oncommit?.(event.currentTarget.value);
			}}
			onblur={settle}
			{...rest}
		/>
		{#if aside}<span id="{id}-aside" class="figure shrink-0 text-[13px] text-soft">{aside}</span>{/if}
	</div>
	{#if shownError}<p id="{id}-error" class="mt-1 text-[13.5px] text-warn">{shownError}</p>{/if}
</div>
