<script lang="ts">
	import { layShown, parseLength, traverseAt, turnsToRadius, windingAfter } from '$lib/core';
	import { ROLE_NAMES } from '$lib/schema/parts';
	import { showLong, showRetrieve, showSmall, showTurns, smallUnit } from '$lib/schema/units';
	import type { Workout } from '$lib/schema/workout';
	import Undo from '@lucide/svelte/icons/undo-2';
	import Field from '../../primitives/Field.svelte';
	import { usePreferences } from '../../state/preferences.svelte';
	import type { Run } from '../../state/run.svelte';
	import { isShortcut } from '../../state/shortcuts';

	/** Counts the turns of one part: how many are on, how many are left, how deep it should stand, where it should lie. */
	interface Props {
		run: Run;
		workout: Workout;
		index: number;
	}
	let { run, workout, index }: Props = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const small = $derived(smallUnit(units));

	const BATCH = 10;
	/** Turns before the stop at which it is said. */
	const WARN_TURNS = 25;
	/** How many times the planned length a count can follow. */
	const BEYOND = 4;

	const part = $derived(workout.parts[index]!);
	const layer = $derived(workout.fit.layers[index]!);
	const solved = $derived(workout.fit.solved?.index === index);
	/** A backing that is looked for may go on past its plan: the count has to follow it there. */
	const component = $derived.by(() => {
		const planned = workout.stack[index]!;
		if (!solved) return planned;
		return { ...planned, sections: planned.sections.map((s) => ({ ...s, lengthMm: BEYOND * s.lengthMm })) };
	});
	const spool = $derived(workout.known.spool);
	const turns = $derived(run.state.turns.get(part.id) ?? 0);
	const reading = $derived(run.state.depths.get(part.id));

	const lay = $derived(layShown(spool, layer.innerRadiusMm, component, reading));
	const now = $derived(windingAfter(spool, layer.innerRadiusMm, component, turns, lay));
	/** Turns to the planned surface at that lay: a level strand goes on until it is there, a line until it is on. */
	const target = $derived(
		solved
			? turnsToRadius(
					spool,
					layer.innerRadiusMm,
					layer.outerRadiusMm,
					component.sections[0]!.startDiameterMm,
					lay
				)
			: turns + now.turnsLeft
	);
	const left = $derived(target - turns);
	const near = $derived(left <= WARN_TURNS);
	const traverse = $derived(traverseAt(spool, layer.innerRadiusMm, component, now, lay));

	const add = (n: number): void => void run.add({ kind: 'turns', part: part.id, turns: n });
	let depth = $state('');
	let trouble = $state<string>();
	function read(): void {
		const mm = parseLength(depth, small);
		const limit = spool.rimRadiusMm - layer.innerRadiusMm;
		trouble =
			mm.ok && mm.value >= 0 && mm.value < limit
				? undefined
				: `Read from the rim down to the surface, between 0 and ${showSmall(limit, units)}.`;
		if (trouble || !mm.ok) return;
		void run.add({ kind: 'depth', part: part.id, depthMm: mm.value });
		depth = '';
	}

	const KEYS: Record<string, () => void> = {
		t: () => add(BATCH),
		'+': () => add(1),
		'-': () => add(-1),
		z: () => void run.undo()
	};
	function onkeydown(event: KeyboardEvent): void {
		const act = KEYS[event.key];
		if (!act || !isShortcut(event)) return;
		event.preventDefault();
		act();
	}
	const SYNC = {
		idle: '',
		waiting: 'Counted, being saved',
		saved: 'Saved',
		away: 'Counted here; the server is away'
	};
</script>

<svelte:window {onkeydown} />

<section
	class="mt-6 border-t-2 border-ink pt-4"
	aria-label="Counter of the {ROLE_NAMES[part.role]}"
	data-counter={part.id}
>
	<div class="flex flex-wrap items-end gap-x-8 gap-y-3">
		<div>
			<p class="figure text-[16px] text-soft">turns on</p>
			<p class="figure text-[72px] leading-none font-bold" data-turns>{showTurns(turns)}</p>
		</div>
		<div>
			<p class="figure text-[16px] text-soft">{left < 0 ? 'too many by' : 'to go'}</p>
			<p class="figure text-[72px] leading-none font-bold" data-left>
				<span class={near ? 'px-1 marked' : ''}>{showTurns(Math.abs(left))}</span>
			</p>
		</div>
		<dl class="figure grid grid-cols-[auto_auto] gap-x-3 text-[18px]">
			<dt class="text-soft">expect</dt>
			<dd data-depth>{showSmall(now.depthMm, units)} below the rim</dd>
			<dt class="text-soft">on</dt>
			<dd>{showLong(now.lengthMm, units)}</dd>
			<dt class="text-soft">a turn takes</dt>
			<dd>{showRetrieve(now.retrieveMm, units)}</dd>
		</dl>
	</div>

	<div
		class="mt-4 max-w-xl"
		role="img"
		aria-label="The strand should lie {Math.round(
			100 * traverse.across
		)} percent across, going {traverse.toward === 'far' ? 'over' : 'back'}"
	>
		<div class="relative h-5 border-x-[3px] border-ink bg-hair/40">
			<span
				class="absolute top-0 h-full w-1.5 -translate-x-1/2 bg-now outline-1 outline-ink"
				style="left: {100 * traverse.across}%"
			></span>
			<span
				class="figure absolute top-0 text-[14px] leading-5"
				style="left: calc({100 * traverse.across}% + {traverse.toward === 'far' ? 8 : -18}px)"
				aria-hidden="true">{traverse.toward === 'far' ? '→' : '←'}</span
			>
		</div>
		<p class="figure text-[14px] text-soft">
			sweep {traverse.sweep + 1}, {showTurns(traverse.turnsPerSweep)} turns from flange to flange
		</p>
	</div>

	<div class="mt-4 flex flex-wrap gap-3">
		<button type="button" class="action min-h-14 px-6 text-[20px]" onclick={() => add(BATCH)}>
			{BATCH} turns<kbd class="text-[13px] font-normal opacity-70 max-lg:hidden">T</kbd>
		</button>
		<button
			type="button"
			class="action-quiet min-h-14 px-5 text-[18px]"
			aria-label="One turn more"
			onclick={() => add(1)}>+1</button
		>
		<button
			type="button"
			class="action-quiet min-h-14 px-5 text-[18px]"
			aria-label="One turn less"
			onclick={() => add(-1)}>−1</button
		>
		<button
			type="button"
			class="action-quiet min-h-14 px-4"
			disabled={!run.state.undoable}
			onclick={() => void run.undo()}
			><Undo size={18} />Undo<kbd class="text-[13px] font-normal opacity-70 max-lg:hidden">Z</kbd></button
		>
	</div>
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
		class="figure mt-2 min-h-5 text-[14px] {run.sync === 'away' ? 'text-warn' : 'text-soft'}"
		role="status"
		data-sync={run.sync}
	>
		{SYNC[run.sync]}{reading
			? `${SYNC[run.sync] ? '; ' : ''}${showSmall(reading.depthMm, units)} read at ${showTurns(reading.turns)} turns, so you lay it ${lay.toFixed(2)}`
			: ''}
	</p>
</section>
