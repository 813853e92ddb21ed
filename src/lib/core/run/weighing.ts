import { fail, ok, type Result } from '../issues';
import type { StrandDensity } from '../line/strand';
import { READING_SPREADS } from '../uncertainty/spreads';
import { crossSectionMm2 } from '../line/sections';

export interface Weighing {
	readonly beforeG: number;
	readonly afterG: number;
	readonly diameterMm: number;
	/** 1σ of the diameter, as a share. */
	readonly diameterShare: number;
	readonly density: StrandDensity;
}

/**
 * Length that has left a supply spool, from what it weighed before and after: L = m/(ρ·a). Its 1σ adds up the
 * two readings', the density's and twice the diameter's share. Issue: `out_of_range` when nothing has left.
 */
export function lengthWeighed({
	beforeG,
	afterG,
	diameterMm,
	diameterShare,
	density
}: Weighing): Result<{ lengthMm: number; spreadMm: number }> {
	const massG = beforeG - afterG;
	if (!(massG > 0))
		return fail({ code: 'out_of_range', value: afterG, min: 0, max: beforeG, unit: 'g' }, ['afterG']);
	const gPerMm = (density.gPerCm3 / 1000) * crossSectionMm2(diameterMm);
	const lengthMm = massG / gPerMm;
	return ok({
		lengthMm,
		spreadMm:
			lengthMm * Math.hypot((Math.SQRT2 * READING_SPREADS.scaleG) / massG, density.share, 2 * diameterShare)
	});
}
