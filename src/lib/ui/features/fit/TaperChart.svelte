<script lang="ts">
	import {
		formatNumber,
		fromGrams,
		fromMm,
		massG,
		grainsOf30ft,
		nearestClass,
		toleranceGrains,
		toMm,
		totalLengthMm,
		type LineSection
	} from '$lib/core';
	import { longUnit, showThickness, type UnitSystem } from '$lib/wording/units';
	import { taperOutline } from '../../charts/thread/profile';

	/** Diameter over length, rear end left, and what the first 30 ft weigh against the standard. */
	interface Props {
		sections: readonly LineSection[];
		densityGPerCm3: number;
		units: UnitSystem;
		label: string;
		/** CSS colour of the role. */
		colour: string;
		/** It is a whole line: its first 30 ft have a class. */
		whole: boolean;
	}
	let { sections, densityGPerCm3, units, label, colour, whole }: Props = $props();
	const WIDTH = 312;
	const HEIGHT = 62;

	const lengthMm = $derived(totalLengthMm(sections));
	const thickestMm = $derived(Math.max(...sections.flatMap((s) => [s.startDiameterMm, s.endDiameterMm])));
	const grains = $derived(grainsOf30ft(sections, densityGPerCm3));
	const nearest = $derived(nearestClass(grains));
	const long = $derived(longUnit(units));
	const thirtyFt = $derived(((lengthMm - Math.min(toMm(30, 'ft'), lengthMm)) / lengthMm) * WIDTH);
	const enough = $derived(whole && lengthMm >= toMm(30, 'ft'));
	const allGrains = $derived(fromGrams(massG(sections, densityGPerCm3), 'gr'));
</script>

<figure class="m-0" data-taper>
	<svg
		viewBox="0 0 {WIDTH} {HEIGHT}"
		class="drawing block w-full"
		role="img"
		aria-label="Taper of the {label}"
	>
		<path
			d={taperOutline(sections, { width: WIDTH, middle: 24, height: 26 })}
			fill={colour}
			fill-opacity="0.85"
		/>
		{#if enough}
			<path d="M{thirtyFt} 4V44" stroke="var(--ink)" stroke-dasharray="3 2" />
			<path d="M{thirtyFt} 46H{WIDTH}" stroke="var(--ink)" />
			<text class="quiet" x={WIDTH} y="59" text-anchor="end">30 ft</text>
		{/if}
		<text class="quiet" x="0" y="59"
			>{formatNumber(fromMm(lengthMm, long), 1)} {long}, up to {showThickness(thickestMm, units)}</text
		>
	</svg>
	<figcaption class="text-[13.5px] text-soft">
		{#if enough}
			{Math.round(grains)} grains over the first 30 ft:
			{nearest.within
				? `a #${nearest.number}, within the ${toleranceGrains(nearest.number)} grains the standard allows.`
				: `${Math.abs(Math.round(nearest.offGrains))} ${nearest.offGrains > 0 ? 'over' : 'under'} a #${nearest.number}, more than the ${toleranceGrains(nearest.number)} the standard allows.`}
		{:else if whole}
			{Math.round(allGrains)} grains in all; shorter than the 30 ft the standard weighs.
		{:else}
			{Math.round(allGrains)} grains in all.
		{/if}
	</figcaption>
</figure>
