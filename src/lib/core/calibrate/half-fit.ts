import { surfaceForGap } from '../fit/solve';
import { levelTurns, surfaceAt } from '../fit/wind';
import { fail, ok, under, type Result } from '../issues';
import { crossSectionMm2 } from '../line/sections';
import { packingFraction } from '../packing/packing';
import { radiusAtVolume, volumeToRadius, type Spool } from '../spool';
import { sourceShifts } from '../uncertainty/inputs';
import { propagate, type Move, type Range } from '../uncertainty/propagate';
import { DEFAULT_SPREADS, type Spreads } from '../uncertainty/spreads';
import { spoolOf, type SpoolSource } from './source';

/** The backing that goes under, if its length and turns are wanted too. */
export interface BackingUnder {
	readonly diameterMm: number;
	readonly layEfficiency: number;
}

export interface HalfFitReading {
	/** Read with the line alone on the bare arbor. */
	readonly lineDepthMm: number;
	readonly gapMm: number;
	readonly backing?: BackingUnder | undefined;
}

export interface HalfFit {
	/** Space the line takes on this very spool, mm³. */
	readonly lineSpaceMm3: number;
	readonly stopDepthMm: number;
	readonly lengthMm?: number;
	readonly turns?: number;
	readonly ranges: {
		readonly stopDepthMm: Range;
		/** Final gap when the backing is stopped at that depth. */
		readonly gapMm: Range;
		readonly lengthMm?: Range;
		readonly turns?: Range;
	};
}

/**
 * 1σ of how much denser or looser the same hand lays the same line the second time, as a share.
 * Assumption.
 */
export const RELAY_SHARE = 0.02;

/** The same without ranges. */
export type HalfFitPlan = Record<'lineSpaceMm3' | 'stopDepthMm' | 'lengthMm' | 'turns', number>;

/** The surface a rule reads: issues `depth_below_arbor` and `depth_above_rim`. */
export function surfaceAtDepth(spool: Spool, depthMm: number): Result<number> {
	const radiusMm = spool.rimRadiusMm - depthMm;
	const limitMm = spool.rimRadiusMm - spool.arborRadiusMm;
	if (!(radiusMm > spool.arborRadiusMm)) return fail({ code: 'depth_below_arbor', depthMm, limitMm });
	return depthMm >= 0 ? ok(radiusMm) : fail({ code: 'depth_above_rim', depthMm });
}

/** What a reading tells, without its ranges. Issues as in {@link halfFit}. */
export function halfFitPlan(spool: Spool, reading: HalfFitReading): Result<HalfFitPlan> {
	const line = surfaceAtDepth(spool, reading.lineDepthMm);
	if (!line.ok) return { ok: false, issues: under(line.issues, 'lineDepthMm') };
	const target = surfaceForGap(spool, reading.gapMm);
	if (!target.ok) return target;
	const lineSpaceMm3 = volumeToRadius(spool, line.value);
	const roomMm3 = volumeToRadius(spool, target.value) - lineSpaceMm3;
	const aloneGapMm = spool.gapFromRadiusMm - line.value;
	if (!(roomMm3 > 0))
		return fail({ code: 'line_alone_fills', gapMm: aloneGapMm, wantedMm: reading.gapMm }, ['gapMm']);
	const stop = surfaceAt(spool, roomMm3);
	const { diameterMm, layEfficiency } = reading.backing ?? { diameterMm: NaN, layEfficiency: NaN };
	const packing = packingFraction(layEfficiency);
	return ok({
		lineSpaceMm3,
		stopDepthMm: spool.rimRadiusMm - stop.radiusMm,
		lengthMm: (packing * roomMm3) / crossSectionMm2(diameterMm),
		turns: levelTurns(spool, { filledMm3: 0, radiusMm: spool.arborRadiusMm }, stop, packing, diameterMm)
	});
}

/** What the rule does wrong: at the line alone, at the stop; and the line laid again a little otherwise. */
interface Errors {
	readonly lineDepthMm: number;
	readonly stopDepthMm: number;
	readonly relay: number;
}
const NO_ERRORS: Errors = { lineDepthMm: 0, stopDepthMm: 0, relay: 0 };

/** Final gap on the true spool when the plan made from the reading is carried out. */
function gapOf(truth: Spool, lineDepthMm: number, stopDepthMm: number, off: Errors): number {
	const surface = (depthMm: number): number =>
		Math.max(truth.rimRadiusMm - Math.max(depthMm, 0), truth.arborRadiusMm);
	const lineMm3 = volumeToRadius(truth, surface(lineDepthMm - off.lineDepthMm)) * (1 + off.relay);
	const backingMm3 = volumeToRadius(truth, surface(stopDepthMm + off.stopDepthMm));
	return truth.gapFromRadiusMm - radiusAtVolume(truth, backingMm3 + lineMm3);
}

/**
 * Half-fit: the line is wound alone on the bare arbor, the depth read, the line taken off again. Its bulk
 * on this very spool is then known, whatever its diameters and its lay; only the stop depth is left, and
 * that hardly depends on the spool's measures, since both readings are taken on it.
 *
 * Issues: those of the spool and of {@link surfaceForGap}, `depth_below_arbor`, `depth_above_rim`,
 * `line_alone_fills`.
 */
export function halfFit(
	source: SpoolSource,
	reading: HalfFitReading,
	spreads: Spreads = DEFAULT_SPREADS
): Result<HalfFit> {
	const built = spoolOf(source);
	if (!built.ok) return { ok: false, issues: under(built.issues, 'spool') };
	const values = halfFitPlan(built.value.spool, reading);
	if (!values.ok) return values;
	const plan = values.value;

	type Answer = keyof HalfFitPlan | 'gapMm';
	const answers = (from: SpoolSource, backing = reading.backing, off = NO_ERRORS) => {
		const truth = spoolOf(from);
		if (!truth.ok) return undefined;
		const again = halfFitPlan(truth.value.spool, {
			...reading,
			backing,
			lineDepthMm: reading.lineDepthMm - off.lineDepthMm
		});
		if (!again.ok) return undefined;
		const gapMm = gapOf(truth.value.spool, reading.lineDepthMm, plan.stopDepthMm, off);
		return { ...again.value, gapMm };
	};
	const errorMove = (key: keyof Errors, sigma: number): Move<Answer, string> => ({
		label: key,
		answers: (z) => answers(source, reading.backing, { ...NO_ERRORS, [key]: z * sigma })
	});
	const moves: Move<Answer, string>[] = [
		...sourceShifts(source, spreads).map(([label, shift]): Move<Answer, string> => ({
			label,
			answers: (z) => answers(shift(source, z))
		})),
		errorMove('lineDepthMm', spreads.depthMm),
		errorMove('stopDepthMm', spreads.depthMm),
		errorMove('relay', RELAY_SHARE)
	];
	if (reading.backing) {
		const { diameterMm, layEfficiency } = reading.backing;
		moves.push(
			{
				label: 'diameter',
				answers: (z) =>
					answers(source, { layEfficiency, diameterMm: diameterMm * (1 + z * spreads.diameterShare) })
			},
			{
				label: 'lay',
				answers: (z) =>
					answers(source, { diameterMm, layEfficiency: layEfficiency * (1 + z * spreads.layShare) })
			}
		);
	}
	const { range } = propagate({ ...plan, gapMm: reading.gapMm }, moves);
	const { lineSpaceMm3, stopDepthMm, lengthMm, turns } = plan;
	const ranges = { stopDepthMm: range('stopDepthMm'), gapMm: range('gapMm') };
	return ok(
		reading.backing
			? {
					lineSpaceMm3,
					stopDepthMm,
					lengthMm,
					turns,
					ranges: { ...ranges, lengthMm: range('lengthMm', 0), turns: range('turns', 0) }
				}
			: { lineSpaceMm3, stopDepthMm, ranges }
	);
}
