import { fail, ok, type Result } from '../issues';
import { SAME_DIAMETER_MM } from '../numeric/tolerances';
import { pieceBetween, type Piece, type ProfilePoint } from './piece';

/**
 * A spool as its width over radius, from the floor of the arbor to the rim. Surfaces are measured
 * by radius. Beyond the rim the last width goes on, only so that "too full by" has a number.
 */
export interface Spool {
	readonly profile: readonly ProfilePoint[];
	readonly arborRadiusMm: number;
	readonly rimRadiusMm: number;
	/** Where the gap is measured to: the nearest part of the frame, else the rim. */
	readonly gapFromRadiusMm: number;
	/** Whether that is a frame. */
	readonly hasFrame: boolean;
	/** Profile pieces from the floor outward; the last one is open-ended. */
	readonly pieces: readonly Piece[];
}

/**
 * Builds a spool from its profile, floor first.
 *
 * @param frameRadiusMm nearest part of the frame, if it was measured
 * @returns issues `profile_too_short`, `profile_not_rising`, `profile_closed`, `frame_inside_arbor`
 */
export function spoolFromProfile(profile: readonly ProfilePoint[], frameRadiusMm?: number): Result<Spool> {
	if (profile.length < 2) return fail({ code: 'profile_too_short', points: profile.length }, ['profile']);
	const pieces: Piece[] = [];
	for (let i = 1; i < profile.length; i++) {
		const [inner, outer] = [profile[i - 1]!, profile[i]!];
		const path = ['profile', i] as const;
		if (!(outer.radiusMm > inner.radiusMm))
			return fail(
				{
					code: 'profile_not_rising',
					diameterMm: 2 * outer.radiusMm,
					previousDiameterMm: 2 * inner.radiusMm
				},
				path
			);
		// Only the lowest point may have no width: the bottom of a V-shaped arbor.
		if (!(outer.widthMm > 0)) return fail({ code: 'profile_closed', diameterMm: 2 * outer.radiusMm }, path);
		pieces.push(pieceBetween(inner, outer, pieces.at(-1)));
	}
	const arbor = profile[0]!;
	const rim = profile.at(-1)!;
	if (frameRadiusMm !== undefined && !(frameRadiusMm > arbor.radiusMm))
		return fail(
			{
				code: 'frame_inside_arbor',
				frameDiameterMm: 2 * frameRadiusMm,
				arborDiameterMm: 2 * arbor.radiusMm
			},
			['frameDiameterMm']
		);
	pieces.push(pieceBetween(rim, { radiusMm: Infinity, widthMm: rim.widthMm }, pieces.at(-1)));
	return ok({
		profile,
		arborRadiusMm: arbor.radiusMm,
		rimRadiusMm: rim.radiusMm,
		gapFromRadiusMm: frameRadiusMm ?? rim.radiusMm,
		hasFrame: frameRadiusMm !== undefined,
		pieces
	});
}

/** A straight spool: one width from arbor to rim. Issue `arbor_not_inside_rim`, or those of the profile. */
export function straightSpool(measures: {
	rimDiameterMm: number;
	arborDiameterMm: number;
	widthMm: number;
	frameDiameterMm?: number | undefined;
}): Result<Spool> {
	const { rimDiameterMm, arborDiameterMm, widthMm, frameDiameterMm } = measures;
	if (!(rimDiameterMm - arborDiameterMm > SAME_DIAMETER_MM))
		return fail({ code: 'arbor_not_inside_rim', arborDiameterMm, rimDiameterMm }, ['arborDiameterMm']);
	return spoolFromProfile(
		[
			{ radiusMm: arborDiameterMm / 2, widthMm },
			{ radiusMm: rimDiameterMm / 2, widthMm }
		],
		frameDiameterMm === undefined ? undefined : frameDiameterMm / 2
	);
}
