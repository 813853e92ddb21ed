<script lang="ts">
	import { parseLength } from '$lib/core';
	import { showSmall, smallUnit } from '$lib/wording/units';
	import Field from '../../../primitives/Field.svelte';
	import { usePreferences } from '../../../state/preferences.svelte';
	import type { Run } from '../../../state/run.svelte';
	import type { WindingState } from '../winding.svelte';

	/** A depth read at a pause: with the turns so far it says how much room this strand takes, and the turns left follow. */
	let { winding, sync }: { winding: WindingState; sync: Run['sync'] } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const small = $derived(smallUnit(units));

	const readTurns = (text: string): number | undefined => {
		const count = Number(text.trim().replace(/\s*turns?$/i, ''));
		return text.trim() !== '' && count >= 0 && count <= MOST_TURNS ? count : undefined;
	};
	const MOST_TURNS = 100_000;

	let depth = $state('');
	let trouble = $state<string>();
	function read(): void {
		const mm = parseLength(depth, small);
		const limit = winding.spool.rimRadiusMm - winding.spool.arborRadiusMm;
		trouble =
			mm.ok && mm.value >= 0 && mm.value <= limit
				? undefined
				: `Read from the rim down to the surface, between 0 and ${showSmall(limit, units)}.`;
		if (trouble || !mm.ok) return;
		winding.readDepth(mm.value);
		depth = '';
	}
	let turns = $state('');
	let wrong = $state<string>();
	function setCount(): void {
		const count = readTurns(turns);
		wrong = count === undefined ? 'A number of turns, such as 640.' : undefined;
		if (count === undefined) return;
		winding.setCount(count);
		turns = '';
	}
	const SYNC = {
		idle: '',
		waiting: 'Counted, saving',
		saved: 'Saved',
		away: 'Counted in this browser; Wendle sends it when the server answers again'
	};
</script>

<form
	class="mt-4 grid max-w-md grid-cols-[1fr_auto] items-end gap-4"
	onsubmit={(event) => {
		event.preventDefault();
		read();
	}}
>
	<Field
		label="Depth now, from the rim down"
		value={depth}
		aside={small}
		error={trouble}
		oninput={(value) => ([depth, trouble] = [value, undefined])}
	/>
	<button type="submit" class="action-quiet" disabled={depth.trim() === ''}>Save reading</button>
</form>
<div class="mt-3 flex flex-wrap items-end gap-3">
	<button type="button" class="action-quiet min-h-12" onclick={() => winding.loseCount()}
		>I lost count<kbd class="text-[13px] font-normal opacity-70 max-lg:hidden">X</kbd></button
	>
	<form
		class="flex items-end gap-3"
		onsubmit={(event) => {
			event.preventDefault();
			setCount();
		}}
	>
		<Field
			label="Turns that are on"
			inputmode="numeric"
			value={turns}
			error={wrong}
			oninput={(value) => ([turns, wrong] = [value, undefined])}
		/>
		<button type="submit" class="action-quiet min-h-12" disabled={turns.trim() === ''}>Set the count</button>
	</form>
</div>
{#if winding.lost && !winding.placed}
	<p class="mt-2 max-w-[60ch] text-[19px] text-warn" role="status" data-lost>
		Wendle knows that you lost count. Read the depth, and Wendle goes on from there.
	</p>
{/if}
<p
	class="figure mt-2 min-h-5 text-[14px] {sync === 'away' ? 'text-warn' : 'text-soft'}"
	role="status"
	data-sync={sync}
>
	{SYNC[sync]}
</p>
