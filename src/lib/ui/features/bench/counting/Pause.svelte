<script lang="ts">
	import { parseLength } from '$lib/core';
	import { showSmall, showTurns, smallUnit } from '$lib/wording/units';
	import Field from '../../../primitives/Field.svelte';
	import { usePreferences } from '../../../state/preferences.svelte';
	import type { Run } from '../../../state/run.svelte';
	import type { WindingState } from '../winding.svelte';

	/** A depth read at a pause: with the turns so far it says how tightly this hand lays, and the turns left follow. */
	let { winding, sync }: { winding: WindingState; sync: Run['sync'] } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const small = $derived(smallUnit(units));

	let depth = $state('');
	let trouble = $state<string>();
	function read(): void {
		const mm = parseLength(depth, small);
		const limit = winding.spool.rimRadiusMm - winding.layer.innerRadiusMm;
		trouble =
			mm.ok && mm.value >= 0 && mm.value < limit
				? undefined
				: `Read from the rim down to the surface, between 0 and ${showSmall(limit, units)}.`;
		if (trouble || !mm.ok) return;
		winding.readDepth(mm.value);
		depth = '';
	}
	const SYNC = {
		idle: '',
		waiting: 'Counted, being saved',
		saved: 'Saved',
		away: 'Counted here; the server is away'
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
		label="At a pause: depth below the rim"
		value={depth}
		aside={small}
		error={trouble}
		oninput={(value) => ([depth, trouble] = [value, undefined])}
	/>
	<button type="submit" class="action-quiet" disabled={depth.trim() === ''}>Read</button>
</form>
<p
	class="figure mt-2 min-h-5 text-[14px] {sync === 'away' ? 'text-warn' : 'text-soft'}"
	role="status"
	data-sync={sync}
>
	{SYNC[sync]}{winding.reading
		? `${SYNC[sync] ? '; ' : ''}${showSmall(winding.reading.depthMm, units)} read at ${showTurns(winding.reading.turns)} turns, so you lay it ${winding.lay.toFixed(2)}`
		: ''}
</p>
