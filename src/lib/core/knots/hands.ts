import type { Vec3 } from './curve';

/** A place of a strand that a hand holds or pulls. */
export interface Grip {
	/** Which of the strands, counted from 0. */
	readonly strand: number;
	/** Where: a share of its length from its start. */
	readonly share: number;
	/** Which way it is pulled, mm for each mm of the fastest hand; none: held where it is. */
	readonly toward: Vec3;
}

/** A round thing that strands lie round, a cylinder along z. */
export interface Peg {
	readonly x: number;
	readonly y: number;
	readonly radiusMm: number;
}

/** One movement of the hands: what they hold and pull until nothing gives any more. */
export interface Movement {
	readonly grips: readonly Grip[];
	/** A finger or a peg that a loop lies round, looked at along it: no strand gets into it. */
	readonly peg?: Peg;
	/** How far the fastest hand goes at most, mm. Without it, until nothing gives. */
	readonly mostMm?: number;
	/** Coulomb's friction between strands; wet and slippery without it. */
	readonly friction?: number;
}

export const gripOn =
	(toward: Vec3) =>
	(strand: number, share: number): Grip => ({ strand, share, toward });
export const pullLeft = gripOn([-1, 0, 0]);
export const pullRight = gripOn([1, 0, 0]);
/** A short end, pulled aside, so that it does not lie on what is pulled beside it. */
export const pullLeftDown = gripOn([-0.9, -0.43, 0]);
export const pullRightUp = gripOn([0.9, 0.43, 0]);
export const hold = gripOn([0, 0, 0]);
