<script lang="ts">
	import type { RackEntry } from './shown';

	/** What can be done with the spools that are chosen, all at once. */
	interface Props {
		chosen: readonly RackEntry[];
		/** How many are shown, to choose all of them. */
		shown: number;
		onall: () => void;
		onremove: () => void;
		onclose: () => void;
	}
	let { chosen, shown, onall, onremove, onclose }: Props = $props();
	const wound = $derived(chosen.flatMap(({ windingId }) => windingId ?? []));
	const none = $derived(chosen.length === 0);
	const link = 'grid min-h-9 place-items-center underline underline-offset-4 aria-disabled:opacity-40';
</script>

<section
	class="no-print figure sticky bottom-0 z-20 -mx-4 flex flex-wrap items-center gap-x-5 gap-y-1 border-t-2 border-ink bg-paper px-4 py-2 text-[15px] sm:-mx-8 sm:px-8"
	aria-label="Chosen spools"
>
	<p class="font-semibold" role="status">
		{none ? 'Choose spools' : chosen.length === 1 ? '1 spool chosen' : `${chosen.length} spools chosen`}
	</p>
	{#if chosen.length < shown}
		<button type="button" class={link} onclick={onall}>Choose all {shown}</button>
	{/if}
	{#if !none}
		{#if wound.length > 0}
			<a class={link} href="/label?of={wound.join(',')}"
				>Print {wound.length === 1 ? 'its label' : `${wound.length} labels`}</a
			>
		{/if}
		<a class={link} href="/care?spool={chosen.map(({ id }) => id).join(',')}">Care for them</a>
		<button type="button" class={link} onclick={onremove}>Take them off the rack</button>
	{/if}
	<button type="button" class="ml-auto action-quiet min-h-9" onclick={onclose}>Stop choosing</button>
</section>
