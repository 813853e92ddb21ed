<script lang="ts">
	import Segmented from '../../primitives/Segmented.svelte';
	import type { Run } from '../../state/run.svelte';

	/** How the backing took a hard pull. */
	let { run }: { run: Run } = $props();
	const SAYS = {
		passed: 'Good for another line.',
		doubtful: 'Cut back past the part that looks worn, and pull again. The test stays due until it passes.',
		failed: 'Replace it before you fish. The test stays due until you do.'
	} as const;
	const result = $derived(run.state.tug);
</script>

<div class="mt-5 max-w-md">
	<Segmented
		label="It"
		options={[
			{ value: 'passed', label: 'passed' },
			{ value: 'doubtful', label: 'is doubtful' },
			{ value: 'failed', label: 'failed' }
		]}
		value={result ?? ('' as 'passed')}
		onchange={(picked) => void run.add({ kind: 'tug', result: picked })}
		shown
	/>
</div>
{#if result}<p class="mt-2 text-[19px]" role="status" data-tug={result}>{SAYS[result]}</p>{/if}
