import { fail, ok, type Result } from '../issues';
import { findRoot } from '../numeric/root';
import { spoolFromProfile, straightSpool, type ProfilePoint, type Spool } from '../spool';
import {
	ORDINARY_HAND,
	RATED_GAP_MM,
	RATED_GAP_SIGMA_MM,
	ratedSpread,
	weighRatings,
	type Rating,
	type RatingConsistency,
	type SameHand
} from './ratings';

export interface MeasuredSource {
	readonly kind: 'measured';
	readonly rimDiameterMm: number;
	readonly arborDiameterMm: number;
	readonly widthMm: number;
	readonly frameDiameterMm?: number | undefined;
}

export interface ProfileSource {
	readonly kind: 'profile';
	readonly profile: readonly ProfilePoint[];
	readonly frameDiameterMm?: number | undefined;
}

/** A spool known by its maker's figures, and by whatever of it has been measured. */
export interface RatedSource {
	readonly kind: 'rated';
	readonly ratings: readonly Rating[];
	readonly makersAllowance: number;
	/** Gap the reduced figure leaves, mm. */
	readonly ratedGapMm: number;
	/** Correction of the ratings' space; 1 but for asking how much it matters. */
	readonly spaceFactor: number;
	/** 1σ of the space behind the figures, as a share, and of the gap they leave, mm. */
	readonly bulkSpread: number;
	readonly gapSigmaMm: number;
	readonly shape: SpoolShape;
	/** For a known fill: how whoever wound it differs from an ordinary hand. Undefined for a maker's figures. */
	readonly hand?: SameHand | undefined;
	readonly rimDiameterMm?: number | undefined;
	readonly widthMm?: number | undefined;
	readonly frameDiameterMm?: number | undefined;
}

export type SpoolSource = MeasuredSource | ProfileSource | RatedSource;

/** Proportions taken where a rated spool has not been measured. */
export interface SpoolShape {
	readonly arborOverRim: number;
	readonly widthOverRim: number;
}

/** An ordinary mid-arbor spool. Assumption; the spreads (1σ) are as wide as the shelves of a shop. */
export const TYPICAL_SHAPE: SpoolShape = { arborOverRim: 0.45, widthOverRim: 0.25 };
export const TYPICAL_SHAPE_SIGMA: SpoolShape = { arborOverRim: 0.06, widthOverRim: 0.035 };

export type Measure = 'rim' | 'arbor' | 'width';

export interface KnownSpool {
	readonly spool: Spool;
	/** Measures that were worked out, not measured. */
	readonly estimated: readonly Measure[];
	readonly consistency?: RatingConsistency;
}

/** Builds the spool a source describes. Issues: those of the spool, and `rating_beyond_measures`. */
export function spoolOf(source: SpoolSource): Result<KnownSpool> {
	if (source.kind === 'rated') return ratedSpool(source);
	const frameRadiusMm = source.frameDiameterMm === undefined ? undefined : source.frameDiameterMm / 2;
	const built =
		source.kind === 'measured' ? straightSpool(source) : spoolFromProfile(source.profile, frameRadiusMm);
	return built.ok ? ok({ spool: built.value, estimated: [] }) : built;
}

/** Space in a straight spool up to the rated gap below the rim, mm³. */
const roomMm3 = (rim: number, arbor: number, width: number, gap: number): number =>
	Math.PI * width * ((rim / 2 - gap) ** 2 - (arbor / 2) ** 2);

/**
 * The straight spool that holds the ratings' space up to the rated gap. Measured rim and width leave the
 * arbor to be worked out; where they were not measured, {@link SpoolShape} stands in.
 */
function ratedSpool(source: RatedSource): Result<KnownSpool> {
	const consistency = weighRatings(source.ratings, source.makersAllowance, source.hand);
	const spaceMm3 = consistency.spaceMm3 * source.spaceFactor;
	const measures = measuresForSpace(source, spaceMm3);
	if (!measures.ok) return measures;
	const odd = noSuchSpool(measures.value);
	if (odd) return odd;
	const built = straightSpool({ ...measures.value, frameDiameterMm: source.frameDiameterMm });
	if (!built.ok) return built;
	const estimated: Measure[] = ['arbor'];
	if (source.rimDiameterMm === undefined) estimated.push('rim');
	if (source.widthMm === undefined) estimated.push('width');
	return ok({ spool: built.value, estimated, consistency });
}

interface Measures {
	rimDiameterMm: number;
	arborDiameterMm: number;
	widthMm: number;
}

/** Arbor and width of a spool against its rim: beyond these nobody makes one, and a figure or a measure is a slip. Assumption. */
const ARBOR_OVER_RIM = { least: 0.12, most: 0.85 } as const;
const WIDTH_OVER_RIM = { least: 0.06, most: 0.9 } as const;

function noSuchSpool({
	rimDiameterMm,
	arborDiameterMm,
	widthMm
}: Measures): ReturnType<typeof fail> | undefined {
	const within = (value: number, { least, most }: { least: number; most: number }): boolean =>
		value >= least * rimDiameterMm && value <= most * rimDiameterMm;
	return within(arborDiameterMm, ARBOR_OVER_RIM) && within(widthMm, WIDTH_OVER_RIM)
		? undefined
		: fail({ code: 'rating_contradicts_measures', rimDiameterMm, arborDiameterMm, widthMm });
}

function measuresForSpace(source: RatedSource, spaceMm3: number): Result<Measures> {
	const { rimDiameterMm: rim, widthMm: width, ratedGapMm: gap } = source;
	const { arborOverRim, widthOverRim } = source.shape;
	// Far out in the spreads lies what is no spool: no room, a gap above the rim, an arbor outside it.
	const possible = spaceMm3 > 0 && gap >= 0 && arborOverRim > 0 && arborOverRim < 1 && widthOverRim > 0;
	if (!possible) return fail({ code: 'rating_beyond_measures', ratedSpaceMm3: spaceMm3, roomMm3: 0 });
	if (rim !== undefined && width !== undefined) {
		const left = (rim / 2 - gap) ** 2 - spaceMm3 / (Math.PI * width);
		return left > 0 && rim / 2 > gap
			? ok({ rimDiameterMm: rim, arborDiameterMm: 2 * Math.sqrt(left), widthMm: width })
			: fail({
					code: 'rating_beyond_measures',
					ratedSpaceMm3: spaceMm3,
					roomMm3: roomMm3(rim, 0, width, Math.min(gap, rim / 2))
				});
	}
	if (rim !== undefined) {
		const arborDiameterMm = arborOverRim * rim;
		const perWidth = roomMm3(rim, arborDiameterMm, 1, gap);
		return rim / 2 - gap > arborDiameterMm / 2
			? ok({ rimDiameterMm: rim, arborDiameterMm, widthMm: spaceMm3 / perWidth })
			: fail({ code: 'gap_leaves_no_room', gapMm: gap, limitMm: (rim - arborDiameterMm) / 2 }, [
					'rimDiameterMm'
				]);
	}
	const tooSmall = (d: number): number =>
		roomMm3(d, arborOverRim * d, width ?? widthOverRim * d, gap) - spaceMm3;
	// Just wide enough for the gap alone: no room at all, so the spool looked for is larger.
	const smallest = (2 * gap) / (1 - arborOverRim);
	let largest = smallest + 100;
	while (tooSmall(largest) < 0) largest *= 2;
	const rimDiameterMm = findRoot(tooSmall, smallest, largest);
	return ok({
		rimDiameterMm,
		arborDiameterMm: arborOverRim * rimDiameterMm,
		widthMm: width ?? widthOverRim * rimDiameterMm
	});
}

type Measured = Pick<RatedSource, 'rimDiameterMm' | 'widthMm' | 'frameDiameterMm'>;

/** A rated source with the usual assumptions. */
export const ratedSource = (
	given: Pick<RatedSource, 'ratings' | 'makersAllowance'> & Measured
): RatedSource => ({
	kind: 'rated',
	ratedGapMm: RATED_GAP_MM,
	bulkSpread: ratedSpread(given.ratings.length),
	gapSigmaMm: RATED_GAP_SIGMA_MM,
	spaceFactor: 1,
	shape: TYPICAL_SHAPE,
	...given
});

/**
 * 1σ of the space behind a fill that is really on the spool, as a share: its line is another than the new one, and it was laid another
 * time. What its backing and its winder have in common with the new fill is not in it. Assumption.
 */
export const KNOWN_FILL_SPREAD = 0.03;
/** 1σ of a gap read with a rule, mm. Assumption. */
export const SEEN_GAP_SIGMA_MM = 0.3;

/**
 * A spool known by what is on it now: a figure with no maker's optimism in it, and a gap that was looked
 * at, measured from the frame where there is one.
 */
export function knownFillSource(given: { fill: Rating; gapMm: number } & Measured): RatedSource {
	const { fill, gapMm, ...measured } = given;
	const { rimDiameterMm: rim, frameDiameterMm: frame } = measured;
	const insideRimMm = rim !== undefined && frame !== undefined ? (rim - frame) / 2 : 0;
	return {
		...ratedSource({ ratings: [fill], makersAllowance: 0, ...measured }),
		ratedGapMm: gapMm + insideRimMm,
		hand: ORDINARY_HAND,
		bulkSpread: KNOWN_FILL_SPREAD,
		gapSigmaMm: SEEN_GAP_SIGMA_MM
	};
}
