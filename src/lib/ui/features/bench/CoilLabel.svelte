<script lang="ts">
	import Field from '../../primitives/Field.svelte';
	import type { Run } from '../../state/run.svelte';

	/** What is written on a coil that was just tied. */
	interface Props {
		run: Run;
		part: string;
		/** What it is called when nobody says otherwise. */
		usual: string;
	}
	let { run, part, usual }: Props = $props();
	const written = $derived(run.state.coils.get(part));
	let typed = $state<string>();
	const text = $derived(typed ?? written ?? usual);
</script>

<form
	class="mt-5 grid max-w-xl grid-cols-[1fr_auto] items-end gap-4"
	onsubmit={(event) => {
		event.preventDefault();
		void run.add({ kind: 'coil', part, label: text.trim() });
		typed = undefined;
	}}
>
	<Field label="Written on the coil" value={text} maxlength={80} oninput={(value) => (typed = value)} />
	<button type="submit" class="action-quiet min-h-12" disabled={text.trim() === '' || text === written}
		>{written === undefined ? "Yes, that's on the label" : 'Change the label'}</button
	>
</form>
{#if written !== undefined}
	<p class="mt-2 text-[19px]" role="status" data-coil>
		The label on its coil: <b>{written}</b>. You can print the label under Care once you save the job.
	</p>
{/if}
