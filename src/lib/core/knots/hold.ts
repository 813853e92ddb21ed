/** Two materials, and the friction between them. From memory, and rough: it changes with wet, wax and wear. */
export const GRIPS = {
	'thin-bare': { label: 'gel-spun on bare metal', low: 0.04, high: 0.08 },
	'braid-bare': { label: 'polyester braid on bare metal', low: 0.1, high: 0.18 },
	'on-bed': { label: 'on tape or a bed of mono', low: 0.2, high: 0.35 }
} as const;
export type Grip = keyof typeof GRIPS;

/**
 * How many times what the knot holds alone the turns before it hold: e^(μ·2πn), for n turns round an arbor with
 * friction μ (Euler 1762, Eytelwein 1808: the belt, or capstan, equation). The arbor's size does not matter.
 *
 * @throws RangeError for less than no friction or no turns
 */
export function holdOfTurns(friction: number, turns: number): number {
	if (!(friction >= 0) || !(turns >= 0))
		throw new RangeError(`friction and turns are 0 or more, got ${friction} and ${turns}`);
	return Math.exp(friction * 2 * Math.PI * turns);
}
