<script lang="ts">
	import Sheet from '../primitives/Sheet.svelte';
	import { setSingleKeys, singleKeys } from '../state/shortcuts';

	/** What every key does. */
	let { open = $bindable() }: { open: boolean } = $props();
	let on = $state(singleKeys());
	const SHEET: readonly [string, string][] = [
		['R', 'the rack; at the bench, keys that would leave it do nothing'],
		['N', 'a new set-up'],
		['M', 'compare every spool with every line'],
		['K', 'knots; on a knot: arrow keys for the stages, P plays, X for the left hand'],
		['C', 'care; on a row: arrow keys from event to event, + to zoom in, − to zoom out, 0 for everything'],
		['B', 'from Fit to the bench'],
		['U', 'other units'],
		['Ctrl Z', 'undo the last change, of any kind'],
		['↑ ↓', 'on the gap handle: 0.1 mm; with the Page keys: 1 mm'],
		['Space', 'on the bench: step done, go on; Page Down too, for a foot pedal'],
		['← →', 'on the bench: one step back or forward'],
		['T + −', 'on the bench: add ten turns, one turn, or take one turn off'],
		['Z', 'on the bench: undo the last thing'],
		['X', 'on the bench: I lost count'],
		['W', 'on the bench: something is wrong'],
		['L', 'on the bench: read the step aloud, if reading aloud is on'],
		['F', 'on the bench: fill the whole screen'],
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
	<label class="mt-5 flex min-h-8 items-center gap-3 border-t border-hair pt-3">
		<input
			type="checkbox"
			class="size-5 accent-current"
			bind:checked={() => on, (now) => ((on = now), setSingleKeys(now))}
		/>
		Use single letters and signs as keys. Without them, Space, the arrows and Page keys still work.
	</label>
</Sheet>
