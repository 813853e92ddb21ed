<script lang="ts">
	import type { HTMLInputAttributes } from 'svelte/elements';

	/** The box of a number. What is being typed stays in it, whatever else happens on the page meanwhile. */
	interface Props extends Omit<
		HTMLInputAttributes,
		'type' | 'value' | 'min' | 'max' | 'oninput' | 'onchange'
	> {
		value: number | undefined;
		min: number;
		max: number;
		/**
		 * Every number within the bounds, as it is typed; undefined when it was emptied, where that may be. What is not taken over is
		 * shown again as it was.
		 */
		onchange: (value: number | undefined) => unknown;
		/** It may be left empty. */
		empty?: boolean;
		/** Only what stands there when typing is done, within the bounds or not: whoever takes it over judges it. */
		late?: boolean;
	}
	let { value, min, max, onchange, empty = false, late = false, ...rest }: Props = $props();

	/** What stands there and is not taken over; null where that is no number. */
	let draft = $state<number | null>();
	const fits = (typed: number | null): boolean => typed !== null && typed >= min && typed <= max;

	function type(typed: number | null): void {
		const taken = !late && fits(typed);
		draft = taken ? undefined : typed;
		if (taken) onchange(typed!);
	}
	async function done(): Promise<void> {
		const typed = draft;
		if (typed === undefined) return;
		if (late || (typed === null && empty)) await onchange(typed ?? undefined);
		if (draft === typed) draft = undefined;
	}
</script>

<input
	type="number"
	{min}
	{max}
	required={!empty}
	bind:value={() => (draft === undefined ? (value ?? null) : draft), type}
	onchange={done}
	{...rest}
/>
