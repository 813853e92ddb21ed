import { formatFraction, toMm, type Range, type Spool } from '$lib/core';
import type { Frame } from './dots';
import { WALL_MM } from './metal';

/** A pencil: what anglers measure a gap with. Common practice: 7 mm. */
export const PENCIL_MM = 7;

/** Room above the rim for a pencil lying on the line, mm. */
const HEADROOM_MM = 5;

export interface SectionLayout extends Frame {
	readonly width: number;
	readonly height: number;
	readonly leftPx: number;
	readonly rightPx: number;
	readonly narrow: boolean;
}

/** Pixels kept free beside the spool for the rule and the dimension lines. */
const MARGINS = {
	wide: { left: 116, right: 124, top: 26, bottom: 46 },
	narrow: { left: 68, right: 62, top: 24, bottom: 40 }
};

/** Below this width the drawing uses its narrow margins, px. */
const NARROW_PX = 480;

/** Fits the section of a spool into a width, true to scale, rim up; as high as it needs, up to a limit. */
export function sectionLayout(spool: Spool, width: number, maxHeight: number): SectionLayout {
	const narrow = width < NARROW_PX;
	const { left, right, top, bottom } = narrow ? MARGINS.narrow : MARGINS.wide;
	const widest = Math.max(...spool.profile.map((point) => point.widthMm)) + 2 * WALL_MM;
	const highest = Math.max(spool.rimRadiusMm, spool.gapFromRadiusMm) + HEADROOM_MM;
	const deep = highest - spool.arborRadiusMm + WALL_MM * 1.3;
	const scale = Math.min((width - left - right) / widest, (maxHeight - top - bottom) / deep);
	const middlePx = left + (width - left - right) / 2;
	return {
		width,
		height: Math.ceil(deep * scale + top + bottom),
		narrow,
		scale,
		middlePx,
		leftPx: middlePx - (widest / 2) * scale,
		rightPx: middlePx + (widest / 2) * scale,
		y: (radiusMm) => top + (highest - radiusMm) * scale
	};
}

/** Least and largest gap that can be dragged to, mm. */
export const gapBounds = (spool: Spool): Range => ({
	low: Math.max(0, spool.gapFromRadiusMm - spool.rimRadiusMm),
	high: Math.max(spool.gapFromRadiusMm - spool.arborRadiusMm - 1, 1)
});

/** Ticks of a diameter scale, one a millimetre of radius. */
export function ruleTicks(spool: Spool, unit: 'mm' | 'in'): { radiusMm: number; label?: string }[] {
	const { stepMm, labelEvery } = RULES[unit];
	const from = Math.ceil(spool.arborRadiusMm / stepMm);
	return Array.from({ length: Math.floor(spool.rimRadiusMm / stepMm) - from + 1 }, (_, i) => {
		const radiusMm = (from + i) * stepMm;
		const label = unit === 'in' ? formatFraction(2 * radiusMm).replace(/ ?1\/2$/, '½') : String(2 * radiusMm);
		return (from + i) % labelEvery === 0 ? { radiusMm, label } : { radiusMm };
	});
}

/** Marks of the diameter rule: every 2 mm with a number at each 10, or every 1/8 in with one at each 1/2. */
const RULES = {
	mm: { stepMm: 1, labelEvery: 5 },
	in: { stepMm: toMm(1 / 16, 'in'), labelEvery: 4 }
} as const;
