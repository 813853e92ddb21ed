/**
 * How far each input may be off, 1σ. Defaults for a rule or cheap calipers, catalogue diameters and an
 * ordinary hand: assumptions, to be replaced by one's own.
 */
export interface Spreads {
	/** Diameter across the rims, mm. */
	readonly rimMm: number;
	/** Diameter of the arbor, mm: hard to reach with a rule. */
	readonly arborMm: number;
	/** Width between the flanges, mm. */
	readonly widthMm: number;
	/** Backing diameter, as a share of it. */
	readonly diameterShare: number;
	/** Bulk of every other component, as a share of it. */
	readonly bulkShare: number;
	/** Lay efficiency of each component, as a share of it. */
	readonly layShare: number;
	/** Reading of a depth with a rule, mm. */
	readonly depthMm: number;
}

export const DEFAULT_SPREADS: Spreads = {
	rimMm: 0.4,
	arborMm: 0.6,
	widthMm: 0.4,
	diameterShare: 0.05,
	bulkShare: 0.05,
	layShare: 0.06,
	depthMm: 0.3
};

/**
 * How far a reading of one strand may be off, 1σ, by how it was taken. Assumptions: how hard calipers are closed on a soft
 * strand decides; a rule is read to a third of a millimetre, a kitchen scale to a tenth of a gram; a table is printed, a
 * class is a habit.
 */
export const READING_SPREADS = {
	calipersShare: 0.05,
	wrapsMm: 0.3,
	scaleG: 0.1,
	tableBulkShare: 0.03,
	weighedBulkShare: 0.05
} as const;

/** Standard normal quantile of 0.95: the ranges shown run from the 5th to the 95th percentile. */
export const RANGE_Z = 1.644_853_626_951_472_7;
