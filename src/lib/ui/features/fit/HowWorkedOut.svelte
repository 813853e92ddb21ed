<script lang="ts">
	import { formatNumber, packingFraction, spaceMm3, volumeToRadius } from '$lib/core';
	import type { Workout } from '$lib/setup/evaluate-form';
	import { showLong, showSmall, showTurns } from '$lib/wording/units';
	import { usePreferences } from '../../state/preferences.svelte';
	import { inputName } from './panels/inputs';

	/** The four answers with their formulas, the numbers that went in, and what their uncertainty comes from. */
	let { workout }: { workout: Workout } = $props();
	const preferences = usePreferences();
	const units = $derived(preferences.units);

	const cm3 = (mm3: number, decimals = 1): string => `${formatNumber(mm3 / 1000, decimals)} cm³`;
	const percent = (share: number): string => `${formatNumber(100 * share, 0)} %`;
	const spool = $derived(workout.known.spool);
	const { fit, problem, stack, stopIndex, estimate } = $derived(workout);
	const stop = $derived(fit.layers[stopIndex]);
	const strand = $derived(stack[stopIndex]);
	const roomMm3 = $derived(
		volumeToRadius(spool, Math.max(spool.gapFromRadiusMm - problem.gapMm, spool.arborRadiusMm))
	);
	const overMm3 = $derived(stack.slice(stopIndex + 1).reduce((sum, part) => sum + spaceMm3(part), 0));
	const comesFrom = (shares: typeof estimate.gapShares): string =>
		shares
			.filter(({ share }) => share > 0.05)
			.slice(0, 4)
			.map((share) => `${inputName(share, workout)} ${percent(share.share)}`)
			.join(', ');
</script>

{#if stop && strand && fit.fits}
	{#if problem.learnt}
		<p class="mt-2">
			The sizes, thicknesses and tightness that go in here are those that you gave, moved to where your
			earlier windings have shown them to be.
		</p>
	{/if}
	<dl class="mt-2 space-y-3">
		<div>
			<dt class="font-semibold">Stop depth</dt>
			<dd>
				{#if fit.solved}
					The spool holds {cm3(roomMm3)} up to {showSmall(problem.gapMm, units)} from the {spool.hasFrame
						? 'frame'
						: 'rim'}. What goes over the backing takes {cm3(overMm3)}. The backing may take the rest, and its
					surface then lies {showSmall(stop.depthMm, units)} below the rim.
				{:else}
					{showLong(stop.lengthMm, units)} of backing takes {cm3(spaceMm3(strand))}, and its surface then lies
					{showSmall(stop.depthMm, units)} below the rim. What goes over it takes {cm3(overMm3)}. The spool
					holds {cm3(roomMm3)} up to the gap you want.
				{/if}
				<span class="figure block text-soft">V(stop) = V(gap) − Σ volume ÷ φ, V(r) = ∫ 2πr·w dr</span>
			</dd>
		</div>
		<div>
			<dt class="font-semibold">Backing</dt>
			<dd>
				{fit.solved ? `That rest is ${cm3(spaceMm3(strand))}.` : ''} A metre of this backing takes {cm3(
					(spaceMm3(strand) / stop.lengthMm) * 1000,
					2
				)}: its own volume over φ = {formatNumber(packingFraction(strand.layEfficiency), 2)}, how densely it
				lies.{fit.solved ? ` So ${showLong(stop.lengthMm, units)} goes on.` : ''}
				<span class="figure block text-soft"
					>L = φ·ΔV ÷ a, φ = η·π/4, η = {formatNumber(strand.layEfficiency, 2)}</span
				>
				{#if estimate.lengthShares.length > 0}
					<span class="block text-soft">Its range comes from {comesFrom(estimate.lengthShares)}.</span>
				{/if}
			</dd>
		</div>
		<div>
			<dt class="font-semibold">Turns</dt>
			<dd>
				Each turn fills its own cross-section, so the turns follow from the cross-section between the arbor
				and that surface: {showTurns(stop.turns)}.{workout.gear === 1
					? ''
					: ` The handle turns ${formatNumber(workout.gear, 2)} times less: ${showTurns(stop.turns / workout.gear)}.`}
				<span class="figure block text-soft">N = φ·ΔA ÷ a, A(r) = ∫ w dr</span>
			</dd>
		</div>
		<div>
			<dt class="font-semibold">Gap</dt>
			<dd>
				{showSmall(fit.gapMm, units)} with everything on. Its range comes from {comesFrom(
					estimate.gapShares
				)}.{workout.halfFitted
					? ' The depth that you read with the line alone has moved the room that the line takes.'
					: ''}
				<span class="figure block text-soft">variance = Σ (slope × 1σ)², over all inputs</span>
			</dd>
		</div>
	</dl>
{:else}
	<p>You get this once the line fits.</p>
{/if}
