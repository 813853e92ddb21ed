<script lang="ts">
	import { fromMm, formatNumber, lengthAtRisk, type StopBy } from '$lib/core';
	import { showLong, showSmall, smallUnit } from '$lib/wording/units';
	import { histogram } from '../../../charts/histogram';
	import SaveDrawing from '../../../charts/export/SaveDrawing.svelte';
	import Segmented from '../../../primitives/Segmented.svelte';
	import Select from '../../../primitives/Select.svelte';
	import { Aside } from '../../../state/aside.svelte';
	import { usePreferences } from '../../../state/preferences.svelte';
	import type { FitState } from '../fit-state.svelte';
	import { BETTER, inputName, topShares } from './inputs';
	import SpreadFields from './SpreadFields.svelte';
	import { oneIn } from './figures';
	import PromisesKept from './PromisesKept.svelte';
	import YourHand from './YourHand.svelte';

	/** Twenty thousand spools as they might truly be, and this plan carried out on each. */
	let { fit }: { fit: FitState } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);
	const small = $derived(smallUnit(units));

	const TRIALS = 20_000;
	let stopBy = $state<StopBy>('depth');
	let risk = $state(0.05);

	const aside = new Aside((onProgress) => {
		const { workout } = fit;
		if (!workout || fit.stale) return undefined;
		const { problem, fit: planned, spreads } = workout;
		const options = { trials: TRIALS, seed: 1, spreads, stopBy };
		return async () => {
			const { simulateAside } = await import('$lib/workers/client');
			return simulateAside(problem, planned, options, onProgress);
		};
	});

	const HEIGHT = 120;
	let width = $state(540);
	const simulated = $derived(aside.value);
	// The tab says the same number, as long as it is the number of the plan that is shown.
	$effect(() => {
		if (stopBy === 'depth') fit.rubs = aside.running || fit.stale ? undefined : simulated?.rubProbability;
	});
	const chart = $derived(simulated && histogram(simulated.gapsMm, width, HEIGHT));
	const shares = $derived(simulated && fit.workout ? topShares(simulated.shares, fit.workout) : []);
	const percent = (share: number): string =>
		share === 0
			? 'none seen'
			: share < 0.001
				? 'under 0.1 %'
				: `${formatNumber(100 * share, share < 0.0995 ? 1 : 0)} %`;
	const showTick = (mm: number): string => formatNumber(fromMm(mm, small), small === 'mm' ? 1 : 2);
	const riskOptions = [0.01, 0.05, 0.1, 0.2].map((value) => ({
		value,
		label: `${100 * value} % of the time`
	}));
	let drawing = $state<SVGSVGElement>();
</script>

<div class="flex flex-wrap items-end gap-4">
	<div class="w-64">
		<Segmented
			label="You stop by"
			shown
			options={[
				{ value: 'depth', label: 'the depth' },
				{ value: 'length', label: 'the length' }
			]}
			value={stopBy}
			onchange={(value) => (stopBy = value)}
		/>
	</div>
	<p class="figure text-[13.5px] text-soft" role="status">
		{#if aside.running}
			{aside.progress.toLocaleString('en')} of {TRIALS.toLocaleString('en')}
		{:else if simulated}
			{simulated.trials.toLocaleString('en')} spools tried, each as likely as your measures allow
		{:else if aside.failed}
			the uncertainties are larger than the spool: measure the spool first
		{/if}
	</p>
</div>

{#if simulated && chart}
	<div class="mt-3" bind:clientWidth={width}>
		<svg
			bind:this={drawing}
			viewBox="0 -16 {width} {HEIGHT + 42}"
			{width}
			height={HEIGHT + 42}
			class="drawing block max-w-full"
			role="img"
			aria-label="Distribution of the final gap: 9 times out of 10 from {showSmall(
				simulated.gapMm.p05,
				units
			)} to {showSmall(simulated.gapMm.p95, units)}"
		>
			{#each chart.bars as bar (bar.x)}
				<rect
					x={bar.x}
					y={bar.y}
					width={bar.width}
					height={bar.height}
					fill={bar.middle < 0 ? 'var(--warn)' : 'var(--line)'}
					fill-opacity={bar.middle < simulated.gapMm.p05 || bar.middle > simulated.gapMm.p95 ? 0.45 : 0.9}
				/>
			{/each}
			<path d="M0 {HEIGHT}H{width}" stroke="var(--ink)" />
			{#each chart.ticks as tick (tick)}
				<path d="M{chart.x(tick)} {HEIGHT}v5" stroke="var(--ink)" />
				<text class="quiet" x={chart.x(tick)} y={HEIGHT + 18} text-anchor="middle">{showTick(tick)}</text>
			{/each}
			{#if fit.workout && chart.x.domain()[0]! < fit.workout.problem.gapMm}
				{@const wanted = chart.x(fit.workout.problem.gapMm)}
				<path d="M{wanted} -14V{HEIGHT}" stroke="var(--ink)" stroke-dasharray="4 3" />
				<text class="quiet" x={wanted + 5} y="-5">wanted</text>
			{/if}
		</svg>
	</div>
	<SaveDrawing {drawing} name="{fit.form.spool.name || 'spool'} how sure" what="this chart" />
	<dl class="figure mt-2 grid grid-cols-2 gap-x-6 gap-y-2 text-[15px] sm:grid-cols-3">
		<div>
			<dt class="text-[13px] text-soft">gap, 9 times out of 10</dt>
			<dd class="text-[19px] font-semibold" data-sure="gap">
				{showSmall(simulated.gapMm.p05, units)} to {showSmall(simulated.gapMm.p95, units)}
			</dd>
		</div>
		<div>
			<dt class="text-[13px] text-soft">chance that it rubs</dt>
			<dd class="text-[19px] font-semibold" data-sure="rub">{oneIn(simulated.rubProbability)}</dd>
		</div>
		{#if simulated.lengthMm}
			<div>
				<dt>
					<Select
						label="length, if it may rub"
						options={riskOptions}
						value={risk}
						onchange={(v) => (risk = v)}
					/>
				</dt>
				<dd class="text-[19px] font-semibold" data-sure="length">
					{showLong(lengthAtRisk(simulated, risk), units)}
				</dd>
			</div>
		{/if}
	</dl>
	<h3 class="mt-4 text-[15px] font-semibold">What to measure next</h3>
	<ol class="mt-1 space-y-1.5">
		{#each shares as share (`${share.key}${share.component}`)}
			<li class="grid grid-cols-[3rem_1fr] items-baseline gap-2 text-[14.5px]">
				<span class="figure text-right font-semibold">{percent(share.share)}</span>
				<span>
					<span class="block h-1.5 bg-ink/80" style="width: {100 * share.share}%"></span>
					{inputName(share, fit.workout!)}{#if BETTER[share.key]}<span class="text-soft"
							>: {BETTER[share.key]}</span
						>{/if}
				</span>
			</li>
		{/each}
	</ol>
{/if}
<YourHand {fit} />
<PromisesKept />
<SpreadFields {fit} />
