import { widthAtRadius, type Spool } from '$lib/core';
import type { Frame } from './dots';

/** Wall of flanges and floor in the drawing, mm: spools differ, and it holds nothing. */
export const WALL_MM = 1.3;

const at = (x: number, y: number): string => `${x.toFixed(1)} ${y.toFixed(1)}`;

/** The spool's metal cut through on one side of its axle: flanges and floor, as a closed path. */
export function metalPath(spool: Spool, { scale, middlePx, y }: Frame): string {
	const half = (widthMm: number): number => (widthMm / 2) * scale;
	const widest = Math.max(...spool.profile.map((point) => point.widthMm));
	const outside = half(widest) + WALL_MM * scale;
	const [top, bottom] = [y(spool.rimRadiusMm), y(spool.arborRadiusMm) + sign(y) * WALL_MM * 1.3 * scale];
	const right = spool.profile.map((p) => at(middlePx + half(p.widthMm), y(p.radiusMm)));
	const left = spool.profile.map((p) => at(middlePx - half(p.widthMm), y(p.radiusMm))).reverse();
	return (
		`M${at(middlePx - outside, top)}L${left.join('L')}L${right.join('L')}` +
		`L${at(middlePx + outside, top)}L${at(middlePx + outside, bottom)}L${at(middlePx - outside, bottom)}Z`
	);
}

/** +1 where smaller radii lie lower on the screen. */
const sign = (y: Frame['y']): number => Math.sign(y(0) - y(1));

/** Outline of the space between two surfaces. */
export function layerPath(
	spool: Spool,
	innerMm: number,
	outerMm: number,
	{ scale, middlePx, y }: Frame
): string {
	const radii = [
		innerMm,
		...spool.profile.map((p) => p.radiusMm).filter((r) => r > innerMm && r < outerMm),
		outerMm
	];
	const side = (direction: 1 | -1): string[] =>
		radii.map((r) => at(middlePx + direction * (widthAtRadius(spool, r) / 2) * scale, y(r)));
	return `M${side(-1).join('L')}L${side(1).reverse().join('L')}Z`;
}
