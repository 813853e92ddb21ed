<script lang="ts">
	import type { FitState } from './fit-state.svelte';
	import { ROLE_NAMES } from '$lib/core';
	import Colour from '../../primitives/Colour.svelte';

	/** The colour of a part, and whether its joint with the one below will be seen. */
	let { fit, index }: { fit: FitState; index: number } = $props();
	const component = $derived(fit.form.fill.stack[index]!);
	/** The neighbour it has to stand out from: the one below it, else the one above. */
	const neighbour = $derived(fit.form.fill.stack[index - 1] ?? fit.form.fill.stack[index + 1]);

	const seen = $derived.by(async () => {
		const [own, other] = [component.colour, neighbour?.colour ?? ''];
		if (!own || !other) return undefined;
		const { contrastOf } = await import('$lib/setup/contrast');
		return contrastOf(own, other);
	});
	const WORDS = {
		clear: 'The joint shows clearly',
		fair: 'The joint shows in good light',
		poor: 'The joint is hard to see'
	} as const;
</script>

<Colour
	value={component.colour}
	oninput={(colour) => fit.change(({ fill }) => (fill.stack[index]!.colour = colour))}
/>
{#await seen then contrast}
	{#if contrast && neighbour}
		<p
			class="col-span-2 text-[13.5px] {contrast.seen === 'poor' ? 'text-warn' : 'text-soft'}"
			data-contrast={contrast.seen}
		>
			{WORDS[contrast.seen]} against the {ROLE_NAMES[neighbour.role]}: a colour difference of {Math.round(
				contrast.deltaE
			)}{contrast.seen === 'poor' ? '. Choose a brighter backing' : ''}.
		</p>
	{/if}
{/await}
