import { crossSectionMm2, totalVolumeMm3, type LineSection } from '../line/sections';
import { BACKING_LAY_EFFICIENCY, LINE_LAY_EFFICIENCY, packingFraction } from '../packing/packing';

/** One figure from the box: "this line and so much of that backing". */
export interface Rating {
	readonly line: readonly LineSection[];
	readonly backingDiameterMm: number;
	readonly backingLengthMm: number;
}

/** Share taken off the maker's backing figure: makers count on the full side. Common practice: 0, 10 or 20 %. */
export const MAKERS_ALLOWANCES = [0, 0.1, 0.2] as const;
export const DEFAULT_MAKERS_ALLOWANCE = 0.1;

/** Gap that a maker's figure leaves once the allowance is off: "a little space". Assumption, with its 1σ. */
export const RATED_GAP_MM = 4;
export const RATED_GAP_SIGMA_MM = 1;

/**
 * 1σ of the space behind a box's figures, as a share. What one maker's optimism does is the same in all figures of a reel; beside it
 * each is rounded, and wound with a line of the maker's own. One figure is off by a tenth. Assumptions.
 */
const MAKERS_OPTIMISM_SPREAD = 0.08;
export const RATED_BULK_SPREAD = 0.06;
export const ratedSpread = (figures: number): number =>
	Math.hypot(MAKERS_OPTIMISM_SPREAD, RATED_BULK_SPREAD / Math.sqrt(figures));

/** A figure further than this from what the others say is named as the odd one out: three of its spreads. */
const ODD_ONE_OUT = 3 * RATED_BULK_SPREAD;

/** How a known fill differs from an ordinary one, as factors. The same person winds the new one. */
export interface SameHand {
	readonly backingDiameter: number;
	readonly backingLay: number;
	readonly lineLay: number;
}
export const ORDINARY_HAND: SameHand = { backingDiameter: 1, backingLay: 1, lineLay: 1 };

/**
 * Space on the spool that a rating stands for, mm³: its bulk C = aL + V over the packing of an ordinary
 * hand, the maker's allowance taken off L.
 */
export const ratedSpaceMm3 = (rating: Rating, makersAllowance: number, hand = ORDINARY_HAND): number =>
	(crossSectionMm2(rating.backingDiameterMm * hand.backingDiameter) *
		rating.backingLengthMm *
		(1 - makersAllowance)) /
		packingFraction(BACKING_LAY_EFFICIENCY * hand.backingLay) +
	totalVolumeMm3(rating.line) / packingFraction(LINE_LAY_EFFICIENCY * hand.lineLay);

const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;

/** How well several ratings agree. */
export interface RatingConsistency {
	/** Least-squares space (the mean, there being one unknown), mm³, the odd one left out. */
	readonly spaceMm3: number;
	/** Each rating's space over the common one, minus 1. */
	readonly deviations: readonly number[];
	/** The rating that contradicts the rest. */
	readonly oddIndex?: number;
	/** Two ratings contradict each other and nothing tells which one is wrong. */
	readonly undecided: boolean;
}

/** Weighs ratings against each other: with three or more, one that stands apart is named and left out. */
export function weighRatings(
	ratings: readonly Rating[],
	makersAllowance: number,
	hand?: SameHand
): RatingConsistency {
	if (ratings.length === 0) throw new RangeError('no ratings to weigh');
	const spaces = ratings.map((rating) => ratedSpaceMm3(rating, makersAllowance, hand));
	const awayFromRest = spaces.map((space, i) =>
		spaces.length > 1 ? Math.abs(space / mean(spaces.filter((_, j) => j !== i)) - 1) : 0
	);
	const worst = awayFromRest.indexOf(Math.max(...awayFromRest));
	const apart = awayFromRest[worst]! > ODD_ONE_OUT;
	const oddIndex = apart && spaces.length > 2 ? worst : undefined;
	const spaceMm3 = mean(spaces.filter((_, i) => i !== oddIndex));
	const deviations = spaces.map((space) => space / spaceMm3 - 1);
	const weighed = { spaceMm3, deviations, undecided: apart && spaces.length === 2 };
	return oddIndex === undefined ? weighed : { ...weighed, oddIndex };
}
