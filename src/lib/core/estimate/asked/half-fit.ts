import { spoolOf, type SpoolSource } from '../../calibrate/source';
import { surfaceForGap } from '../../fit/solve';
import type { Component, UnknownComponent } from '../../fit/stack';
import { fail, ok, under, type Result } from '../../issues';
import { crossSectionMm2, level } from '../../line/sections';
import { BACKING_LAY_EFFICIENCY, LINE_LAY_EFFICIENCY, packingFraction } from '../../packing/packing';
import { volumeToRadius } from '../../spool';
import type { Range } from '../../uncertainty/propagate';
import { DEFAULT_SPREADS, type Spreads } from '../../uncertainty/spreads';
import { believe } from '../belief';
import { estimateOf } from '../estimate';
import type { Reading } from '../reading';
import { lyingAs, surfaceAtDepth, type BackingUnder } from './seen-alone';

export interface HalfFitReading {
	/** Read with the line alone on the bare arbor. */
	readonly lineDepthMm: number;
	readonly gapMm: number;
	readonly places?: number | undefined;
	readonly backing?: BackingUnder | undefined;
	/** Turns of backing that then went over it, to the gap: a reverse fill. */
	readonly reverseTurns?: number | undefined;
}

export interface HalfFit {
	/** Space the line takes on this very spool, mm³. */
	readonly lineSpaceMm3: number;
	readonly stopDepthMm: number;
	readonly lengthMm: number;
	readonly turns: number;
	readonly layEfficiency: number;
	readonly ranges: Record<'stopDepthMm' | 'gapMm' | 'lengthMm' | 'turns', Range>;
}

/**
 * Space that everything above a backing takes on a spool, mm³: from a short head on thin running line to a long-belly line.
 * Beyond it something else was read. Assumption.
 */
const LINE_SPACE_MM3 = { least: 8000, most: 250_000 } as const;

/** As good as nothing is known of a line that is only seen to lie there: 1σ of its bulk as a share. */
const UNKNOWN_SHARE = 10;

/** Length of a stand-in for the line, mm: only its bulk matters. */
const STAND_IN_MM = 27_000;

/** A line of which only the space it takes is known. */
function lineTaking(spaceMm3: number): Component {
	const areaMm2 = (spaceMm3 * packingFraction(LINE_LAY_EFFICIENCY)) / STAND_IN_MM;
	return {
		role: 'line',
		layEfficiency: LINE_LAY_EFFICIENCY,
		sections: [level(STAND_IN_MM, Math.sqrt(areaMm2 / crossSectionMm2(1)))],
		spreads: { bulkShare: UNKNOWN_SHARE, layShare: 0 }
	};
}

/**
 * Half-fit: the line is wound alone on the bare arbor, the depth read, the line taken off again. Its bulk on this very spool is then
 * known, whatever its diameters and its lay. With `reverseTurns` the backing was wound over it as well, and its length is what those
 * turns amount to, whatever its thickness.
 *
 * Issues: those of the spool and of {@link surfaceForGap}, `depth_below_arbor`, `depth_above_rim`, `line_alone_fills`, `no_line_takes`.
 */
export function halfFit(
	source: SpoolSource,
	{ lineDepthMm, gapMm, places, backing, reverseTurns }: HalfFitReading,
	spreads: Spreads = DEFAULT_SPREADS
): Result<HalfFit> {
	const built = spoolOf(source);
	if (!built.ok) return { ok: false, issues: under(built.issues, 'spool') };
	const { spool } = built.value;
	const surface = surfaceAtDepth(spool, lineDepthMm);
	if (!surface.ok) return { ok: false, issues: under(surface.issues, 'lineDepthMm') };
	const target = surfaceForGap(spool, gapMm);
	if (!target.ok) return target;
	const lineSpaceMm3 = volumeToRadius(spool, surface.value);
	if (lineSpaceMm3 < LINE_SPACE_MM3.least || lineSpaceMm3 > LINE_SPACE_MM3.most)
		return fail({ code: 'no_line_takes', spaceMm3: lineSpaceMm3, ...LINE_SPACE_MM3 }, ['lineDepthMm']);
	const aloneGapMm = spool.gapFromRadiusMm - surface.value;
	if (!(target.value > surface.value))
		return fail({ code: 'line_alone_fills', gapMm: aloneGapMm, wantedMm: gapMm }, ['gapMm']);
	const nominal = { diameterMm: 0.5, layEfficiency: BACKING_LAY_EFFICIENCY, ...backing };
	const readings: Reading[] = [{ kind: 'line-alone', depthMm: lineDepthMm, places }];
	let lying: UnknownComponent = { role: 'backing', ...nominal };
	if (reverseTurns !== undefined) {
		const over = lyingAs(spool, surface.value, target.value, reverseTurns, nominal);
		if (!over.ok) return over;
		lying = over.value;
		const depthMm = spool.rimRadiusMm - target.value;
		readings.push({ kind: 'over-line', turns: reverseTurns, depthMm, places });
	}
	const belief = believe({ source, gapMm, stack: [lying, lineTaking(lineSpaceMm3)] }, readings, spreads);
	if (!belief.ok) return belief;
	const { todo, gap, layEfficiency } = estimateOf(belief.value);
	return ok({
		lineSpaceMm3,
		stopDepthMm: todo.stopDepthMm.value,
		lengthMm: todo.lengthMm.value,
		turns: todo.turns.value,
		layEfficiency: layEfficiency.value * (nominal.diameterMm / lying.diameterMm) ** 2,
		ranges: {
			stopDepthMm: todo.stopDepthMm.range,
			gapMm: gap.byDepth.range,
			lengthMm: todo.lengthMm.range,
			turns: todo.turns.range
		}
	});
}
