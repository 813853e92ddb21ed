import type { Measure } from '../calibrate/source';
import type { Spreads } from '../uncertainty/spreads';

/** What was answered when a reading was a surprise: a hypothesis about what is behind it. */
export const TAKEN_AS = ['confirmed', 'lost-count', 'other-room', 'other-spool'] as const;
export type TakenAs = (typeof TAKEN_AS)[number];

interface Common {
	/** 1σ of this reading, where it is known better or worse than usual, mm. */
	readonly sigmaMm?: number | undefined;
	/** Places round the spool that it is the mean of; one unless given. */
	readonly places?: number | undefined;
	/** What the person said when it was a surprise. */
	readonly takenAs?: TakenAs | undefined;
}

/** How much of a strand is on, as somebody counted or measured it; neither when nobody knows. */
export interface Amount {
	readonly turns?: number | undefined;
	/** A loss of count before: its name, which later counts of the same strand share, and 1σ where somebody has an idea. */
	readonly lost?: { readonly id: string; readonly sigmaTurns?: number | undefined } | undefined;
	readonly lengthMm?: number | undefined;
	/** 1σ of the length, mm; a hundredth of it unless given. */
	readonly lengthSigmaMm?: number | undefined;
}

/** Calipers or a rule on the spool: a diameter, or the width. */
export interface MeasureReading extends Common {
	readonly kind: 'measure';
	readonly measure: Measure | 'frame';
	readonly valueMm: number;
}

/** Calipers, or wraps on a rule, on a strand of one thickness. */
export interface DiameterReading extends Common {
	readonly kind: 'diameter';
	readonly component: number;
	readonly diameterMm: number;
}

/** So much of a strand is on: nothing was read, it was counted or measured. */
export interface AmountReading extends Common, Amount {
	readonly kind: 'amount';
	readonly component: number;
}

/** A rule across the rims down to a strand that is going on, or has ended. */
export interface DepthReading extends Common, Amount {
	readonly kind: 'depth';
	readonly component: number;
	readonly depthMm: number;
	readonly by?: 'rule' | 'eye' | 'coil-drop' | undefined;
}

/** The gap with everything on. */
export interface GapReading extends Common {
	readonly kind: 'gap';
	readonly gapMm: number;
}

/** The depth with everything above the backing alone on the bare arbor: a half-fit. */
export interface LineAloneReading extends Common {
	readonly kind: 'line-alone';
	readonly depthMm: number;
}

/** Then backing over it, in a reverse fill: so many turns to this depth. */
export interface OverLineReading extends Common {
	readonly kind: 'over-line';
	readonly turns: number;
	readonly depthMm: number;
}

/** One thing that somebody saw, in the order of time. */
export type Reading =
	| MeasureReading
	| DiameterReading
	| AmountReading
	| DepthReading
	| GapReading
	| LineAloneReading
	| OverLineReading;

/** Share of the variance of a depth that is one person's rule and habit, the same in all their readings. */
const HABIT_PART = 1 / 9;

/** 1σ of a depth by eye, and by a coil laid into the spool, mm. Assumptions: nobody has published one. */
export const EYE_SIGMA_MM = 2;
export const COIL_DROP_SIGMA_MM = 1.5;

/** What rule and habit add to every depth of one person, 1σ, mm. */
export const habitSigmaMm = ({ depthMm }: Spreads): number => depthMm * Math.sqrt(HABIT_PART);

/** 1σ of one place round the spool, without that, mm. */
const placeSigmaMm = ({ depthMm }: Spreads): number => depthMm * Math.sqrt(1 - HABIT_PART);

/** 1σ of a depth as the mean of as many places, apart from rule and habit, mm. */
export const depthSigmaMm = ({ sigmaMm, places = 1 }: Common, spreads: Spreads): number =>
	(sigmaMm ?? placeSigmaMm(spreads)) / Math.sqrt(places);

/** 1σ of how much denser or looser the same hand lays the same strand another time, as a share. Assumption. */
export const AGAIN_SHARE = 0.02;

/** A reading further off than this, in standard deviations of what was expected, is no reading of this set-up. */
export const IMPOSSIBLE_Z = 5;

/** 1σ of how far a strand may be from the plan where nobody says how it was wound, as a share of its length. Assumption. */
const AS_PLANNED_SHARE = 0.12;

/** What is on of a strand that nobody counted or measured, and that was wound by the plan: about as much as was planned. */
export const aboutAsPlanned = (component: number, lengthMm: number): AmountReading => ({
	kind: 'amount',
	component,
	lengthMm,
	lengthSigmaMm: AS_PLANNED_SHARE * lengthMm
});
