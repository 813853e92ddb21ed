<script lang="ts">
	import {
		formatNumber,
		fromMm,
		parseLength,
		QUARRIES,
		ROLE_NAMES,
		runoutOf,
		toMm,
		totalLengthMm,
		isEnough,
		moreBacking,
		type MoreBacking
	} from '$lib/core';
	import { longUnit, showLong, showRetrieve, showSmall } from '$lib/wording/units';
	import { runChart } from '../../../charts/run';
	import { ROLE_COLOURS } from '../../../charts/section/layers';
	import SaveDrawing from '../../../charts/export/SaveDrawing.svelte';
	import Field from '../../../primitives/Field.svelte';
	import Select from '../../../primitives/Select.svelte';
	import { usePreferences } from '../../../state/preferences.svelte';
	import type { FitState } from '../fit-state.svelte';
	import OtherSpools from './OtherSpools.svelte';

	/** A fish runs: what a turn brings in and how the set drag grows, along the whole of it. */
	let { fit }: { fit: FitState } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const long = $derived(longUnit(units));

	const POINTS = 160;
	const LEFT = 54;
	const UPPER = { top: 14, height: 110 };
	const LOWER = { top: 152, height: 74 };
	const HEIGHT = 262;
	let width = $state(540);

	const workout = $derived(fit.workout);
	const at = $derived(workout && runoutOf(workout.known.spool, workout.fit, workout.stack));
	const lengths = $derived(workout?.stack.map(({ sections }) => totalLengthMm(sections)) ?? []);
	const totalMm = $derived(lengths.reduce((sum, length) => sum + length, 0));
	const lineMm = $derived(
		lengths.slice((workout?.stopIndex ?? -1) + 1).reduce((sum, length) => sum + length, 0)
	);
	const points = $derived(at ? Array.from({ length: POINTS + 1 }, (_, i) => at((i / POINTS) * totalMm)) : []);
	const room = $derived({ left: LEFT, width: Math.max(width - LEFT - 12, 100) });
	const chart = $derived(runChart(points, { ...room, ...UPPER }, { ...room, ...LOWER }));

	/** Moments that people ask about. */
	const marks = $derived.by(() => {
		const into = [50, 100, 150].map((n) => ({
			label: `${n} ${long} of backing out`,
			outMm: lineMm + toMm(n, long)
		}));
		return [
			{ label: 'full', outMm: 0 },
			{ label: 'line out', outMm: lineMm },
			...into.filter(({ outMm }) => outMm < totalMm),
			{ label: 'bare arbor', outMm: totalMm }
		];
	});

	let cursorMm = $state(0);
	const here = $derived(at?.(Math.min(cursorMm, totalMm)));
	function point(event: PointerEvent): void {
		const box = (event.currentTarget as SVGElement).getBoundingClientRect();
		const px = ((event.clientX - box.left) / box.width) * width;
		cursorMm = Math.min(Math.max(chart.x.invert(px), 0), totalMm);
	}
	function key(event: KeyboardEvent): void {
		const step = toMm(event.key.startsWith('Page') ? 10 : 1, long);
		const to = {
			ArrowRight: cursorMm + step,
			ArrowUp: cursorMm + step,
			PageUp: cursorMm + step,
			ArrowLeft: cursorMm - step,
			ArrowDown: cursorMm - step,
			PageDown: cursorMm - step,
			Home: 0,
			End: totalMm
		}[event.key];
		if (to === undefined) return;
		cursorMm = Math.min(Math.max(to, 0), totalMm);
		event.preventDefault();
	}

	let quarry = $state<string>('trout');
	let least = $state('');
	const leastMm = $derived.by(() => {
		const typed = least.trim() === '' ? undefined : parseLength(least, long);
		return typed?.ok ? typed.value : QUARRIES.find(({ slug }) => slug === quarry)!.leastMm;
	});
	const haveMm = $derived(workout?.fit.layers[workout.stopIndex]?.lengthMm ?? 0);
	const enough = $derived(isEnough(haveMm, leastMm));
	const ways = $derived(workout ? moreBacking(workout.problem, workout.fit, leastMm) : []);
	const way = (w: MoreBacking): string =>
		w.kind === 'thinner-backing'
			? `${w.material.label.toLowerCase()}: ${showLong(w.lengthMm, units)}`
			: w.kind === 'smaller-gap'
				? `a gap of ${showSmall(w.gapMm, units)}`
				: `${showLong(w.cutMm, units)} off the line's rear`;
	let drawing = $state<SVGSVGElement>();
</script>

{#if workout && here}
	<div bind:clientWidth={width}>
		<svg
			bind:this={drawing}
			viewBox="0 0 {width} {HEIGHT}"
			{width}
			height={HEIGHT}
			class="drawing block max-w-full touch-none"
			role="slider"
			tabindex="0"
			aria-label="Length out"
			aria-valuemin="0"
			aria-valuemax={Math.round(fromMm(totalMm, long))}
			aria-valuenow={Math.round(fromMm(cursorMm, long))}
			aria-valuetext="{showLong(cursorMm, units)} out: a turn brings in {showRetrieve(
				here.retrieveMm,
				units
			)}, drag {formatNumber(here.dragFactor, 2)} times"
			onpointermove={point}
			onpointerdown={point}
			onkeydown={key}
		>
			{#each chart.retrieveY.ticks(4) as tick (tick)}
				<path d="M{LEFT} {chart.retrieveY(tick)}H{LEFT + room.width}" stroke="var(--hair)" />
				<text class="quiet" x={LEFT - 7} y={chart.retrieveY(tick) + 4} text-anchor="end"
					>{showRetrieve(tick, units)}</text
				>
			{/each}
			{#each chart.dragY.ticks(3) as tick (tick)}
				<path d="M{LEFT} {chart.dragY(tick)}H{LEFT + room.width}" stroke="var(--hair)" />
				<text class="quiet" x={LEFT - 7} y={chart.dragY(tick) + 4} text-anchor="end"
					>× {formatNumber(tick, 1)}</text
				>
			{/each}
			{#each chart.x.ticks(6) as tick (tick)}
				<path d="M{chart.x(tick)} {LOWER.top + LOWER.height}v5" stroke="var(--ink)" />
			{/each}
			<path d="M{LEFT} {LOWER.top + LOWER.height}H{LEFT + room.width}" stroke="var(--ink)" />
			{#each marks as { label, outMm } (label)}
				<path
					d="M{chart.x(outMm)} {UPPER.top}V{LOWER.top + LOWER.height}"
					stroke="var(--soft)"
					stroke-dasharray="2 3"
				/>
			{/each}
			<path d={chart.retrieve} fill="none" stroke="var(--ink)" stroke-width="2.2" />
			<path d={chart.drag} fill="none" stroke="var(--warn)" stroke-width="2.2" />
			<text class="quiet" x={LEFT + 4} y={UPPER.top - 3}>one turn brings in</text>
			<text class="quiet" x={LEFT + 4} y={LOWER.top - 5}>a set drag pulls</text>
			<text class="quiet" x={LEFT} y={HEIGHT - 8}>nothing out</text>
			<text class="quiet" x={LEFT + room.width} y={HEIGHT - 8} text-anchor="end"
				>{showLong(totalMm, units)} out</text
			>
			<path
				d="M{chart.x(cursorMm)} {UPPER.top}V{LOWER.top + LOWER.height}"
				stroke="var(--ink)"
				stroke-width="1.4"
			/>
			<circle
				cx={chart.x(cursorMm)}
				cy={chart.retrieveY(here.retrieveMm)}
				r="5"
				fill={here.component === undefined ? 'var(--ink)' : ROLE_COLOURS[workout.parts[here.component]!.role]}
				stroke="var(--ink)"
			/>
		</svg>
	</div>
	<SaveDrawing {drawing} name="{fit.form.spool.name || 'spool'} with a fish on" what="this chart" />
	<p class="figure text-[15px]" data-run>
		<strong>{showLong(cursorMm, units)}</strong> out{here.component === undefined
			? ''
			: `, in the ${ROLE_NAMES[workout.parts[here.component]!.role]}`}: a turn brings in
		<strong>{showRetrieve(here.retrieveMm, units)}</strong>, a drag set with the spool full pulls
		<strong>× {formatNumber(here.dragFactor, 2)}</strong>
	</p>
	<table class="figure mt-3 w-full text-[14.5px]">
		<thead>
			<tr class="border-b border-ink text-left text-[13px] text-soft">
				<th class="py-1 font-normal">When</th>
				<th class="py-1 text-right font-normal">out</th>
				<th class="py-1 text-right font-normal">a turn brings in</th>
				<th class="py-1 text-right font-normal">drag</th>
			</tr>
		</thead>
		<tbody>
			{#each marks as { label, outMm } (label)}
				{@const moment = at!(outMm)}
				<tr class="border-b border-hair">
					<td class="py-1">{label}</td>
					<td class="py-1 text-right">{showLong(outMm, units)}</td>
					<td class="py-1 text-right font-semibold">{showRetrieve(moment.retrieveMm, units)}</td>
					<td class="py-1 text-right">× {formatNumber(moment.dragFactor, 2)}</td>
				</tr>
			{/each}
		</tbody>
	</table>

	<h3 class="mt-5 text-[15px] font-semibold">Enough backing?</h3>
	<div class="mt-1 grid grid-cols-[1.4fr_1fr] gap-5">
		<Select
			label="For"
			options={QUARRIES.map(({ slug, label }) => ({ value: slug as string, label }))}
			value={quarry}
			onchange={(slug) => ([quarry, least] = [slug, ''])}
		/>
		<Field
			label="at least"
			value={least}
			placeholder={showLong(leastMm, units)}
			aside={least === '' ? 'common practice' : long}
			oninput={(value) => (least = value)}
		/>
	</div>
	<p class="mt-2" data-enough={enough && workout.fit.fits}>
		{#if workout.fit.fits && enough}
			{showLong(haveMm, units)} is enough: {showLong(Math.max(haveMm - leastMm, 0), units)} to spare.
		{:else}
			{showLong(workout.fit.fits ? haveMm : 0, units)} is {showLong(
				leastMm - (workout.fit.fits ? haveMm : 0),
				units
			)} short.
			{ways.length > 0
				? 'What would give you enough:'
				: 'No thinner backing, smaller gap or shorter line gives you enough on this spool.'}
		{/if}
	</p>
	{#if ways.length > 0}
		<ul class="mt-1 list-disc pl-5">
			{#each ways as w (w.kind)}<li>{way(w)}</li>{/each}
		</ul>
	{/if}
	{#if !workout.fit.fits || !enough}<OtherSpools {fit} {leastMm} />{/if}

	<h3 class="mt-5 text-[15px] font-semibold">Why backing at all?</h3>
	<p class="mt-1 max-w-[68ch]">
		It makes bigger coils, so the line stays straighter. The reel takes in more with every turn. And a long
		run doesn't end at a knot on the arbor. (Common practice.)
	</p>
	<h3 class="mt-4 text-[15px] font-semibold">When all of it is out</h3>
	<p class="mt-1 max-w-[68ch]">
		Point the rod at the fish, hold the spool, and let the tippet break. Never wrap line round your hand.
		(Common practice.)
	</p>
{/if}
