import { fail, ok, under, type Result } from '../issues';
import { MAX_LAY_EFFICIENCY } from '../packing/packing';
import { areaToRadius, volumeToRadius, type Spool } from '../spool';
import { surfaceForGap } from '../fit/solve';
import { layOfTurns } from '../fit/wind';
import { surfaceAtDepth } from './half-fit';

/** The classical method: the line on the bare arbor, its depth read, backing wound over it until the gap is right. */
export interface ReverseFillReading {
	readonly lineDepthMm: number;
	/** Turns of backing that went over the line. */
	readonly turns: number;
	/** Gap at which they stopped. */
	readonly gapMm: number;
}

export interface ReverseFill {
	/** The backing that belongs under this line on this spool, whatever its thickness: L = N·ΔV/ΔA. */
	readonly lengthMm: number;
	/** η of the backing at its nominal diameter, by which turns and stop depth follow. */
	readonly layEfficiency: number;
}

/**
 * What a reverse fill tells. Issues: `depth_below_arbor`, `depth_above_rim`, `line_alone_fills`, `no_turns_yet`,
 * `packing_above_hexagonal` when so many turns of that diameter cannot lie there.
 */
export function reverseFill(
	spool: Spool,
	{ lineDepthMm, turns, gapMm }: ReverseFillReading,
	diameterMm: number
): Result<ReverseFill> {
	const line = surfaceAtDepth(spool, lineDepthMm);
	if (!line.ok) return { ok: false, issues: under(line.issues, 'lineDepthMm') };
	const full = surfaceForGap(spool, gapMm);
	if (!full.ok) return full;
	if (!(full.value > line.value))
		return fail({ code: 'line_alone_fills', gapMm: spool.gapFromRadiusMm - line.value, wantedMm: gapMm }, [
			'gapMm'
		]);
	if (!(turns > 0)) return fail({ code: 'no_turns_yet' }, ['turns']);
	const areaMm2 = areaToRadius(spool, full.value) - areaToRadius(spool, line.value);
	const volumeMm3 = volumeToRadius(spool, full.value) - volumeToRadius(spool, line.value);
	const layEfficiency = layOfTurns(spool, line.value, full.value, turns, diameterMm);
	if (layEfficiency > MAX_LAY_EFFICIENCY)
		return fail({ code: 'packing_above_hexagonal', layEfficiency, limit: MAX_LAY_EFFICIENCY }, ['turns']);
	return ok({ lengthMm: (turns * volumeMm3) / areaMm2, layEfficiency });
}
