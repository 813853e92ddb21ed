<script lang="ts">
	import type { Drawn } from './export';
	import { saveDrawing } from './save';

	/** A drawing as a file, by a press. */
	interface Props {
		drawing: Drawn | (() => Drawn) | undefined;
		/** What it shows, in a word or two, as its file is called. */
		name: string;
		/** What is saved, as the buttons say it: "this chart". */
		what: string;
	}
	let { drawing, name, what }: Props = $props();
</script>

<p class="no-print flex flex-wrap gap-x-5 text-[14px]">
	{#each ['svg', 'png'] as const as kind (kind)}
		<button
			type="button"
			class="min-h-8 underline underline-offset-4"
			onclick={() =>
				drawing && void saveDrawing(typeof drawing === 'function' ? drawing() : drawing, name, kind)}
			>Save {what} as {kind.toUpperCase()}</button
		>
	{/each}
</p>
