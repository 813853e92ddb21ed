import { layOfTurns } from '../fit/wind';
import { MAX_LAY_EFFICIENCY } from '../packing/packing';
import { areaToRadius, type Spool } from '../spool';
import { DEFAULT_SPREADS, type Spreads } from '../uncertainty/spreads';

/**
 * What is believed of how densely one person lays one backing in one manner: η is log-normal. It goes with
 * the backing's nominal diameter, so that a braid truly thicker than its label shows as a looser hand: the
 * two cannot be told apart by winding, and need not be.
 */
export interface HandBelief {
	/** Mean of ln η. */
	readonly meanLn: number;
	/** 1σ of ln η. */
	readonly sigmaLn: number;
}

/** One finished fill: turns counted, and the depth read at the end of the backing. */
export interface FillReading {
	readonly spool: Spool;
	readonly diameterMm: number;
	readonly turns: number;
	readonly depthMm: number;
}

/** 1σ from one fill to the next by the same hand, as a share. Assumption. */
export const HAND_REPEAT_SHARE = 0.02;
/** 1σ of a count of turns, as a share: a few lost in a thousand. Assumption. */
const COUNT_SHARE = 0.003;

/** Before anything was wound: the manner's usual η, its spread, and the doubt about the diameter (d², so twice). */
export const priorHand = (
	layEfficiency: number,
	diameterShare: number,
	spreads: Spreads = DEFAULT_SPREADS
): HandBelief => ({
	meanLn: Math.log(layEfficiency),
	sigmaLn: Math.hypot(spreads.layShare, 2 * diameterShare)
});

/** η that a fill amounts to, N = φ·A/a, with its 1σ of ln η from the reading errors. */
export function observeHand(reading: FillReading, spreads: Spreads = DEFAULT_SPREADS): HandBelief {
	const { spool, diameterMm, turns, depthMm } = reading;
	const radiusMm = spool.rimRadiusMm - depthMm;
	if (!(radiusMm > spool.arborRadiusMm && turns > 0))
		throw new RangeError(`${turns} turns to a depth of ${depthMm} mm are no fill`);
	const areaMm2 = areaToRadius(spool, radiusMm);
	const layEfficiency = layOfTurns(spool, spool.arborRadiusMm, radiusMm, turns, diameterMm);
	const stoodMm = radiusMm - spool.arborRadiusMm;
	// How far the rule, the arbor and the width each move ln A: thickness and width are its factors.
	const sigmaLn = Math.hypot(
		spreads.depthMm / stoodMm,
		spreads.rimMm / 2 / stoodMm,
		spreads.arborMm / 2 / stoodMm,
		(spreads.widthMm * stoodMm) / areaMm2,
		COUNT_SHARE,
		HAND_REPEAT_SHARE
	);
	return { meanLn: Math.log(layEfficiency), sigmaLn };
}

/**
 * Normal prior, normal likelihood: precisions add, means are weighed by them. The order of the
 * observations does not matter.
 */
export function learnHand(prior: HandBelief, observed: readonly HandBelief[]): HandBelief {
	const all = [prior, ...observed];
	const precision = all.reduce((sum, { sigmaLn }) => sum + sigmaLn ** -2, 0);
	const meanLn = all.reduce((sum, { meanLn: m, sigmaLn }) => sum + m * sigmaLn ** -2, 0) / precision;
	return { meanLn, sigmaLn: precision ** -0.5 };
}

/** The belief as a fit uses it: η, and its 1σ as a share for the next fill. */
export const handAsLay = ({ meanLn, sigmaLn }: HandBelief): { layEfficiency: number; share: number } => ({
	layEfficiency: Math.min(Math.exp(meanLn), MAX_LAY_EFFICIENCY),
	share: Math.hypot(sigmaLn, HAND_REPEAT_SHARE)
});
