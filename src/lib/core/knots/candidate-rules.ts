import type { KnotPlace, KnotSituation, KnotTool } from './situation';
import type { KnotSlug } from './takes';

/** A knot with the places it is for, and what speaks for it and against it there. */
export interface Candidate {
	readonly slug: KnotSlug;
	readonly wraps: (s: KnotSituation) => number;
	readonly places: readonly KnotPlace[];
	readonly buys: string;
	readonly points: number;
	readonly rules: readonly Rule[];
}
/** Points for, or against, with the reason; or what it cannot do without. */
export type Rule =
	| { readonly when: (s: KnotSituation) => boolean; readonly points: number; readonly says: string }
	| { readonly when: (s: KnotSituation) => boolean; readonly lacks: string };

export const JOINTS = ['backing-line', 'line-line', 'leader-line'] as const;
/** How much thicker the thick one is. */
export const ratio = ({ thinMm, thickMm }: KnotSituation): number => thickMm / thinMm;
export const FIRST: Pick<KnotSituation, 'skill'>['skill'] = 'first';
export const nailWraps = ({ water }: KnotSituation): number => (water === 'salt' ? 8 : 6);
/** Thin backing, about what is sold as 20 lb, takes a third pass. */
export const passes = ({ thinMm, slick }: KnotSituation): number => (slick || thinMm < 0.42 ? 3 : 2);
export const without =
	(...tools: readonly KnotTool[]) =>
	({ tools: has }: KnotSituation): boolean =>
		!tools.some((tool) => has.includes(tool));

export const SMOOTH: Rule = { when: (s) => s.smooth, points: 2, says: 'Slim: runs through the guides.' };
export const CUT_TO_CHANGE: readonly Rule[] = [
	{ when: (s) => s.swaps === 'often', points: -3, says: 'Has to be cut for every change.' },
	{ when: (s) => s.swaps === 'seldom', points: -0.5, says: 'Has to be cut to change the line.' }
];
export const LOOP_OFF: Rule = {
	when: (s) => s.loop === 'welded' && s.place !== 'line-line',
	points: -1.5,
	says: "The line's loop has to be cut off first."
};
export const NEEDS_PRACTICE: Rule = {
	when: (s) => s.skill === FIRST,
	points: -1,
	says: 'You need a few tries before it lies right.'
};
export const NAIL_RULES: readonly Rule[] = [
	SMOOTH,
	...CUT_TO_CHANGE,
	LOOP_OFF,
	NEEDS_PRACTICE,
	{ when: (s) => s.water === 'salt', points: 0, says: 'In salt water with 7–10 wraps.' }
];

/** The knot is not what slips: the turns under it do. */
export const BARE: Rule = {
	when: (s) => s.slick && s.arbor === 'bare',
	points: -0.5,
	says: 'On bare metal this braid slips, whichever knot you tie. Put a layer of tape or a bed of mono under it first.'
};
