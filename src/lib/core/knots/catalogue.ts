import { ALBRIGHT } from './albright';
import { OVERHAND_ARBOR, SPOOL_LOOP, UNI_ARBOR } from './arbor';
import { BLOOD_KNOT, DOUBLE_UNI } from './joins';
import type { Knot } from './knot';
import { LEADER } from './leader';
import { LOOP_TO_LOOP } from './loops';
import { NAIL_KNOT, NAIL_KNOT_PULLED, NAIL_KNOT_TOOL } from './nail';
import { OWN_LOOP } from './own-loop';
import { CRIMP, GLUED_SPLICE, NEEDLE_NAIL_KNOT } from './opened';
import { STOPPER, SURGEONS_JOIN, SURGEONS_LOOP, TWO_SURGEONS_LOOPS } from './overhand';

/** The knots that are drawn, in the order they are met from the arbor outward. Content is common practice. */
export const KNOTS: readonly Knot[] = [
	OVERHAND_ARBOR,
	UNI_ARBOR,
	SPOOL_LOOP,
	STOPPER,
	DOUBLE_UNI,
	SURGEONS_LOOP,
	TWO_SURGEONS_LOOPS,
	LOOP_TO_LOOP,
	NAIL_KNOT,
	NAIL_KNOT_TOOL,
	NAIL_KNOT_PULLED,
	ALBRIGHT,
	OWN_LOOP,
	NEEDLE_NAIL_KNOT,
	GLUED_SPLICE,
	LEADER,
	SURGEONS_JOIN,
	BLOOD_KNOT,
	CRIMP
];

export const findKnot = (slug: string): Knot | undefined => KNOTS.find((knot) => knot.slug === slug);
