import type { KnownComponent } from '../fit/stack';
import { windSection, type Surface } from '../fit/wind';
import { crossSectionMm2, headOf, isLevel, totalLengthMm, type LineSection } from '../line/sections';
import { findRoot } from '../numeric/root';
import { packingFraction } from '../packing/packing';
import { areaToRadius, radiusAtArea, volumeToRadius, widthAtRadius, type Spool } from '../spool';

/** How far the winding of one component has come. */
export interface Winding {
	readonly lengthMm: number;
	readonly surface: Surface;
	/** Depth below the rim to expect now. */
	readonly depthMm: number;
	readonly turnsLeft: number;
	/** Line taken in by the next turn, mm. */
	readonly retrieveMm: number;
	/** Share of the turns that is done, 0–1. */
	readonly share: number;
}

/** Where the strand should be lying: which sweep across the spool, and how far along it. */
export interface Traverse {
	/** Sweep in hand, counted from 0. */
	readonly sweep: number;
	/** From the flange it started at (0) to the other (1), in the direction of the first sweep. */
	readonly across: number;
	readonly toward: 'far' | 'near';
	/** Turns from flange to flange here. */
	readonly turnsPerSweep: number;
}

/** Winds as much of a section as `turns` make: all of it when they are more. */
function partOf(
	spool: Spool,
	from: Surface,
	section: LineSection,
	packing: number,
	turns: number
): { lengthMm: number; surface: Surface; turns: number } {
	const whole = windSection(spool, from, section, packing);
	if (whole.turns <= turns) return { lengthMm: section.lengthMm, ...whole };
	if (isLevel(section)) {
		const perTurnMm2 = crossSectionMm2(section.startDiameterMm) / packing;
		const radiusMm = radiusAtArea(spool, areaToRadius(spool, from.radiusMm) + turns * perTurnMm2);
		const filledMm3 = volumeToRadius(spool, radiusMm);
		const lengthMm = ((filledMm3 - from.filledMm3) * packing) / crossSectionMm2(section.startDiameterMm);
		return { lengthMm, surface: { radiusMm, filledMm3 }, turns };
	}
	const excess = (lengthMm: number): number =>
		windSection(spool, from, headOf(section, lengthMm), packing).turns - turns;
	const lengthMm = turns > 0 ? findRoot(excess, 0, section.lengthMm) : 0;
	return { lengthMm, surface: windSection(spool, from, headOf(section, lengthMm), packing).surface, turns };
}

/**
 * The state of a winding after `turns` on a component that starts at `startRadiusMm`. More turns than it
 * has leave it wound whole; η may be the one that a pause has shown.
 */
export function windingAfter(
	spool: Spool,
	startRadiusMm: number,
	component: KnownComponent,
	turns: number,
	layEfficiency = component.layEfficiency
): Winding {
	const packing = packingFraction(layEfficiency);
	const start: Surface = { radiusMm: startRadiusMm, filledMm3: volumeToRadius(spool, startRadiusMm) };
	let [surface, lengthMm, left, whole] = [start, 0, Math.max(turns, 0), start];
	let total = 0;
	for (const section of component.sections) {
		const all = windSection(spool, whole, section, packing);
		total += all.turns;
		whole = all.surface;
		if (left <= 0) continue;
		const part = partOf(spool, surface, section, packing, left);
		surface = part.surface;
		lengthMm += part.lengthMm;
		left -= part.turns;
	}
	const done = Math.min(Math.max(turns, 0), total);
	return {
		lengthMm: Math.min(lengthMm, totalLengthMm(component.sections)),
		surface,
		depthMm: spool.rimRadiusMm - surface.radiusMm,
		turnsLeft: total - done,
		retrieveMm: 2 * Math.PI * surface.radiusMm,
		share: total > 0 ? done / total : 1
	};
}

/** Turns that the first `lengthMm` of a component make. */
export function turnsOfLength(
	spool: Spool,
	startRadiusMm: number,
	component: KnownComponent,
	lengthMm: number,
	layEfficiency = component.layEfficiency
): number {
	const packing = packingFraction(layEfficiency);
	let surface: Surface = { radiusMm: startRadiusMm, filledMm3: volumeToRadius(spool, startRadiusMm) };
	let [left, turns] = [Math.max(lengthMm, 0), 0];
	for (const section of component.sections) {
		if (left <= 0) break;
		const part = left < section.lengthMm ? headOf(section, left) : section;
		const wound = windSection(spool, surface, part, packing);
		turns += wound.turns;
		surface = wound.surface;
		left -= section.lengthMm;
	}
	return turns;
}

/** Diameter of what is going on after `lengthMm`. */
function diameterNow(sections: readonly LineSection[], lengthMm: number): number {
	let left = lengthMm;
	for (const section of sections) {
		if (left <= section.lengthMm) return headOf(section, left).endDiameterMm;
		left -= section.lengthMm;
	}
	return sections.at(-1)!.endDiameterMm;
}

/**
 * Where the strand should be lying now. A sweep raises the surface by d/η, since a sweep of w/d turns fills
 * w·d/η of cross-section: so sweeps = η·(r − r₀)/d, whatever the spool's shape.
 */
export function traverseAt(
	spool: Spool,
	startRadiusMm: number,
	component: KnownComponent,
	winding: Winding,
	layEfficiency = component.layEfficiency
): Traverse {
	const diameterMm = diameterNow(component.sections, winding.lengthMm);
	const sweeps = (layEfficiency * (winding.surface.radiusMm - startRadiusMm)) / diameterMm;
	const sweep = Math.floor(sweeps);
	const along = sweeps - sweep;
	const far = sweep % 2 === 0;
	return {
		sweep,
		across: far ? along : 1 - along,
		toward: far ? 'far' : 'near',
		turnsPerSweep: widthAtRadius(spool, winding.surface.radiusMm) / diameterMm
	};
}
