import type { Spool } from '$lib/core';
import { wrapRows, type WoundLayer, type WrapRow } from './wraps';

/** Shades a layer's wraps are drawn in, so that neighbours stay apart. */
export const SHADES = 3;

/** Wraps of one diameter and shade as a single path: round caps on strokes of no length are circles. */
export interface DotPath {
	readonly diameterPx: number;
	readonly shade: number;
	readonly d: string;
	/** The dashes that make circles of a line, where a whole row is one; else each circle is a stroke of its own. */
	readonly dashes?: string;
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
/** To a hundredth of a pixel: nobody sees more, and it is sent. */
export const px = (value: number): number => Math.round(value * HUNDREDTH) / HUNDREDTH;

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

const THOUSANDTH = 1000;
/** So much longer than it is, so that the last dash of a row is not lost to rounding, px. */
const LAST_PX = 0.05;

/**
 * The same for a drawing that is small: a row is one dashed line, its dashes of no length, so that a shelf of hundreds of
 * spools is sent in a third of the room. Shades go by the row.
 */
export function rowPaths(rows: readonly WrapRow[], frame: Frame): DotPath[] {
	const paths = new Map<string, { diameterPx: number; shade: number; dashes: string; parts: string[] }>();
	rows.forEach(({ diameterMm, radiusMm, acrossMm }, i) => {
		const [first, second] = acrossMm;
		if (first === undefined) return;
		const diameterPx = px(diameterMm * frame.scale);
		const pitchPx =
			Math.round(((second ?? first) - first) * frame.scale * THOUSANDTH) / THOUSANDTH || diameterPx;
		const shade = i % SHADES;
		const dashes = `0 ${pitchPx}`;
		const key = `${diameterPx}/${shade}/${dashes}`;
		let path = paths.get(key);
		if (!path) paths.set(key, (path = { diameterPx, shade, dashes, parts: [] }));
		const length = px(pitchPx * (acrossMm.length - 1) + LAST_PX);
		path.parts.push(`M${px(frame.middlePx + first * frame.scale)} ${px(frame.y(radiusMm))}h${length}`);
	});
	return [...paths.values()].map(({ parts, ...path }) => ({ ...path, d: parts.join('') }));
}

interface Drawn {
	readonly where: string;
	readonly paths: readonly DotPath[];
}
const drawn = new WeakMap<WoundLayer, Drawn>();

/** The wraps of a layer drawn small: once, and again only where the drawing is another size. A shelf is asked for over and over. */
export function smallPaths(spool: Spool, layer: WoundLayer, frame: Frame): readonly DotPath[] {
	const where = [frame.scale, frame.middlePx, frame.y(0)].join();
	const before = drawn.get(layer);
	if (before?.where === where) return before.paths;
	const paths = rowPaths(wrapRows(spool, layer), frame);
	drawn.set(layer, { where, paths });
	return paths;
}
