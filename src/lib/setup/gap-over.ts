import { radiusAtVolume, spaceMm3, volumeToRadius, type Component, type Spool } from '$lib/core';

/** What is left of a spool's room. */
export interface GapLeft {
	readonly gapMm: number;
	/** Nothing stands above rim or frame. */
	readonly fits: boolean;
}

/** The gap that is left when strands go on over a surface: what a swapped head, tip or line comes to. */
export function gapOver(spool: Spool, surfaceRadiusMm: number, goesOn: readonly Component[]): GapLeft {
	const spaceOnMm3 = goesOn.reduce((sum, component) => sum + spaceMm3(component), 0);
	const topMm = radiusAtVolume(spool, volumeToRadius(spool, surfaceRadiusMm) + spaceOnMm3);
	const gapMm = spool.gapFromRadiusMm - topMm;
	return { gapMm, fits: gapMm >= Math.max(0, spool.gapFromRadiusMm - spool.rimRadiusMm) };
}
