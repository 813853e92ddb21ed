import type { WrapRow } from './wraps';

/** Shades a layer's wraps are drawn in, so that neighbours stay apart. */
export const SHADES = 3;

/** Wraps of one diameter and shade as a single path: round caps on strokes of no length are circles. */
export interface DotPath {
	readonly diameterPx: number;
	readonly shade: number;
	readonly d: string;
}

export interface Frame {
	/** Pixels per millimetre. */
	readonly scale: number;
	/** Middle of the spool, px. */
	readonly middlePx: number;
	/** Vertical place of a radius, px. */
	readonly y: (radiusMm: number) => number;
}

const HUNDREDTH = 100;
const px = (value: number): number => Math.round(value * HUNDREDTH) / HUNDREDTH;

/** Thousands of circles in a handful of elements: the drawing must keep up with a dragged gap. */
export function dotPaths(rows: readonly WrapRow[], frame: Frame): DotPath[] {
	const paths = new Map<string, { diameterPx: number; shade: number; parts: string[] }>();
	rows.forEach((row, i) => {
		const diameterPx = px(row.diameterMm * frame.scale);
		const y = px(frame.y(row.radiusMm));
		row.acrossMm.forEach((across, j) => {
			const shade = (i * 5 + j * 7 + ((i * j) % 4)) % SHADES;
			const key = `${diameterPx}/${shade}`;
			let path = paths.get(key);
			if (!path) paths.set(key, (path = { diameterPx, shade, parts: [] }));
			path.parts.push(`M${px(frame.middlePx + across * frame.scale)} ${y}h0`);
		});
	});
	return [...paths.values()].map(({ parts, ...path }) => ({ ...path, d: parts.join('') }));
}
