import { NAIL_KNOT, OVERHAND_ARBOR, UNI_ARBOR } from './coils';
import type { Knot } from './knot';
import { LOOP_TO_LOOP } from './loops';
import { STOPPER, SURGEONS_JOIN, SURGEONS_LOOP } from './overhand';

/** The knots that are drawn, in the order they are met from the arbor outward. Content is common practice. */
export const KNOTS: readonly Knot[] = [
	OVERHAND_ARBOR,
	UNI_ARBOR,
	STOPPER,
	SURGEONS_LOOP,
	LOOP_TO_LOOP,
	NAIL_KNOT,
	SURGEONS_JOIN
];

export const findKnot = (slug: string): Knot | undefined => KNOTS.find((knot) => knot.slug === slug);
