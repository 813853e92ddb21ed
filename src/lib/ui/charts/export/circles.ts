/** A circle in the place of a stroke of no length with round caps, which only some programs draw as one. */
export interface Circle {
	readonly cx: number;
	readonly cy: number;
}

const DOTS = /^(?:M-?[\d.]+ -?[\d.]+h0)+$/;
const DOT = /M(-?[\d.]+) (-?[\d.]+)h0/g;

/** The middles of a path's dots; undefined for a path that is anything else. */
export function circlesOf(d: string): Circle[] | undefined {
	if (!DOTS.test(d)) return undefined;
	return [...d.matchAll(DOT)].map(([, x, y]) => ({ cx: Number(x), cy: Number(y) }));
}
