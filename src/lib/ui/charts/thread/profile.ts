import { totalLengthMm, type LineSection } from '$lib/core';

/** Drawing width and height of a strand, in its own units; it is stretched to the room there is. */
export const STRAND_W = 400;
export const STRAND_H = 20;

/** The room a taper is drawn in: its middle line, and the height of its thickest part. */
interface Room {
	readonly width: number;
	readonly middle: number;
	readonly height: number;
}

/**
 * A line drawn as its own taper: diameter upward (not to the scale of the length), rear end left.
 * Scaled so that the thickest part fills the room's height.
 */
export function taperOutline(sections: readonly LineSection[], { width, middle, height }: Room): string {
	const length = totalLengthMm(sections);
	const thickest = Math.max(...sections.flatMap((s) => [s.startDiameterMm, s.endDiameterMm]));
	const half = (diameterMm: number): number => (diameterMm / thickest) * (height / 2);
	const edge: [x: number, half: number][] = [];
	let at = 0;
	for (const { lengthMm, startDiameterMm, endDiameterMm } of sections) {
		edge.push([(at / length) * width, half(startDiameterMm)]);
		at += lengthMm;
		edge.push([(at / length) * width, half(endDiameterMm)]);
	}
	const points = [
		...edge.map(([x, h]) => `${x.toFixed(1)} ${(middle - h).toFixed(2)}`),
		...edge.reverse().map(([x, h]) => `${x.toFixed(1)} ${(middle + h).toFixed(2)}`)
	];
	return `M${points.join('L')}Z`;
}

/** The same in a strand's room. */
export const taperPath = (sections: readonly LineSection[], fullPx: number): string =>
	taperOutline(sections, { width: STRAND_W, middle: STRAND_H / 2, height: fullPx });
