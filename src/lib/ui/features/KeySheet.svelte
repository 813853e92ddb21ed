<script lang="ts">
	import Sheet from '../primitives/Sheet.svelte';

	/** What every key does. */
	let { open = $bindable() }: { open: boolean } = $props();
	const SHEET: readonly [string, string][] = [
		['R', 'the rack'],
		['N', 'a new set-up'],
		['M', 'every spool with every line'],
		['K', 'knots; on one: arrow keys a stage, P plays, X for the left hand'],
		['C', 'care; on a lane: arrow keys from moment to moment, + − 0 closer, farther, all'],
		['B', 'from Fit to the bench'],
		['U', 'other units'],
		['↑ ↓', 'on the gap handle: 0.1 mm; Page keys: 1 mm'],
		['Space', 'on the bench: done, next step; Page Down as well, for a pedal'],
		['← →', 'on the bench: step back and forth'],
		['T + −', 'on the bench: ten turns, one more, one less'],
		['Z', 'on the bench: take the last back'],
		['X', 'on the bench: I lost count'],
		['W', 'on the bench: something is wrong'],
		['L', 'on the bench: read the step aloud, when that is on'],
		['F', 'on the bench: the whole screen'],
		['?', 'this sheet']
	];
</script>

<Sheet bind:open title="Keys">
	<dl class="grid grid-cols-[5rem_1fr] gap-y-2">
		{#each SHEET as [key, does] (key)}
			<dt class="figure font-semibold">{key}</dt>
			<dd>{does}</dd>
		{/each}
	</dl>
</Sheet>
