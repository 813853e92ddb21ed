<script lang="ts">
	import type { SpoolForm } from '$lib/setup/form';

	/** What to measure on a spool of this shape, and where the calipers go: drawn when somebody looks. */
	interface Props {
		shape: SpoolForm['shape'];
		frame: boolean;
	}
	let { shape, frame }: Props = $props();
	let open = $state(false);
</script>

<details class="text-[13.5px]" bind:open>
	<summary class="figure cursor-pointer text-soft">Where the calipers go</summary>
	{#if open}
		{#await import('./MeasureDrawing.svelte') then { default: MeasureDrawing }}
			<MeasureDrawing {shape} {frame} />
		{/await}
	{/if}
</details>
