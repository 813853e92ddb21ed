<script lang="ts">
	import { formatNumber, loopTest, twistVerdict } from '$lib/core';
	import { usualBightMm } from '$lib/wording/units';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { Run } from '../../state/run.svelte';
	import LoopCount from '../twist/LoopCount.svelte';

	/** The loop test at the end of getting twist out. */
	let { run }: { run: Run } = $props();
	const preferences = usePreferences();
	const written = $derived(run.state.loopTest);
	let typed = $state<{ bightMm: number; spins: number }>();
	const read = $derived(typed ?? written ?? { bightMm: usualBightMm(preferences.units), spins: 0 });
	const measured = $derived(loopTest(read.bightMm, read.spins));
	const SAYS = {
		none: "That's right.",
		noticed: 'Better. Walk it once more from the anchor if you have time.',
		loops: 'Still too much twist. Walk it once more from the anchor.'
	} as const;
</script>

<form
	class="mt-5 max-w-sm space-y-3"
	onsubmit={(event) => {
		event.preventDefault();
		void run.add({ kind: 'loop-test', bightMm: read.bightMm, spins: read.spins });
		typed = undefined;
	}}
>
	<LoopCount {...read} onchange={(changed) => (typed = changed)} />
	<button type="submit" class="action-quiet min-h-12">Save reading</button>
</form>
{#if written && !typed}
	<p class="mt-3 text-[21px]" role="status" data-loop-read>
		<b>{formatNumber(Math.abs(measured.mean), 1)} turns a metre.</b>
		{SAYS[twistVerdict(measured.mean)]}
	</p>
{/if}
