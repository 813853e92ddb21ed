import type { Role } from '../fit/stack';
import type { Techniques } from './techniques';

export const JOINTS = {
	loops: 'loop to loop',
	nail: 'nail knot',
	albright: 'Albright',
	'own-loop': 'own loop, loop to loop',
	'double-uni': 'double uni',
	swivel: 'a small swivel',
	crimp: 'a crimped sleeve'
} as const;
export type Joint = keyof typeof JOINTS;

/** What each joint buys. Common practice. */
export const JOINT_BUYS: Record<Joint, string> = {
	loops: 'Lines swap in minutes; a small lump in the guides.',
	nail: 'Slim, and smooth through the guides; cut off to change the line.',
	albright: 'Joins very different thicknesses without a tool; a little bulkier than a nail knot.',
	'own-loop': "Loop to loop where the line's loop is missing or was cut; more to tie.",
	'double-uni':
		'Holds in slick braid as in mono, and needs no tool; for strands of about the same thickness.',
	swivel:
		'Lets twist out and changes in a moment, for trolled lines and wire; stops at the tip guide, so it stays outside.',
	crimp: 'Holds wire that is too stiff to knot; cut off to change it.'
};

/** One component of the stack, as the job sees it. */
export interface JobPart {
	readonly id: string;
	readonly role: Role;
	readonly label: string;
	/** How its rear end is joined to the strand under it; the first goes on the arbor. */
	readonly joint: Joint;
	readonly lengthMm: number;
	/** What to cut of it so that it is enough for sure, its knots included; left out of a strand that comes as it is. */
	readonly cutMm?: number;
	readonly turns: number;
	/** Where its surface should stand below the rim when it is on. */
	readonly depthMm: number;
	/** Sinking lines get more turns in a nail knot. */
	readonly sinking: boolean;
	/** Thin and slippery under load: cuts fingers, slips on a bare arbor. */
	readonly cuts: boolean;
	/** Both ends are the same, as of a double taper: either may go to the reel. */
	readonly alike?: boolean;
	/** Strength as it is sold, lb; unknown for anything but backing. */
	readonly strengthLb?: number;
}

/** What the job depends on. */
export interface JobSetup {
	readonly hand: 'left' | 'right';
	readonly cage: 'open' | 'closed';
	readonly arborTurns: number;
	/** What is wound on, from the arbor outward. */
	readonly parts: readonly JobPart[];
	/** The part that is wound to a depth, not to its end; none when everything has its length. */
	readonly stopPart?: string;
	readonly schools: Techniques;
	readonly leaderMm: number;
	/** Where the spool was measured, or is known: how large a loop has to be to go over it. */
	readonly spool?: { readonly rimRadiusMm: number; readonly arborRadiusMm: number };
	readonly plan: {
		readonly lengthMm: number;
		readonly stopDepthMm: number;
		readonly turns: number;
		readonly gapMm: number;
		readonly lineTurns: number;
	};
}

/** No backing fits, or so little that a joint and a knot are all of it: the line goes on the arbor itself. */
export const LEAST_BACKING_MM = 500;

/** Lines with a rear and a front end that are not the same. */
export const HAS_ENDS: readonly Role[] = ['line', 'head', 'tip'];
/** Strands that come off a spool and are wound to a depth or a length. */
export const isUnder = (role: Role): boolean => role === 'bed' || role === 'backing';
