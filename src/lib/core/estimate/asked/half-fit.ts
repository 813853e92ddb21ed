import { spoolOf, type SpoolSource } from '../../calibrate/source';
import { surfaceForGap } from '../../fit/solve';
import { isKnown, spaceMm3, type Component, type Stack, type UnknownComponent } from '../../fit/stack';
import { layOfTurns } from '../../fit/wind';
import { fail, ok, under, within, type Result } from '../../issues';
import { crossSectionMm2, level, scaleBulk } from '../../line/sections';
import { BACKING_LAY_EFFICIENCY, LINE_LAY_EFFICIENCY, packingFraction } from '../../packing/packing';
import { volumeToRadius, type Spool } from '../../spool';
import type { Range } from '../../uncertainty/propagate';
import { DEFAULT_SPREADS, type Spreads } from '../../uncertainty/spreads';
import type { Problem } from '../../uncertainty/inputs';
import { believe } from '../belief';
import { estimateOf } from '../estimate';
import { gradient, varianceAlong } from '../posterior';
import type { Reading } from '../reading';
import { AGAIN_SHARE } from '../story';
import { rightTodo } from '../outcome';
import { volumeOfRadius } from '../surfaces';
import type { World } from '../world';
import { contradiction } from './contradiction';

/** The backing that goes under, if its length and turns are wanted too. */
export interface BackingUnder {
	readonly diameterMm: number;
	readonly layEfficiency: number;
}

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

/** As good as nothing is known of a line, or of a backing, that is only seen to lie there: 1σ of bulk and of thickness as a share. */
const UNKNOWN_SHARE = 10;
const UNKNOWN_DIAMETER_SHARE = 0.3;

/** The surface a rule reads: issues `depth_below_arbor` and `depth_above_rim`. */
export function surfaceAtDepth(spool: Spool, depthMm: number): Result<number> {
	const radiusMm = spool.rimRadiusMm - depthMm;
	const limitMm = spool.rimRadiusMm - spool.arborRadiusMm;
	if (!(radiusMm > spool.arborRadiusMm)) return fail({ code: 'depth_below_arbor', depthMm, limitMm });
	return depthMm >= 0 ? ok(radiusMm) : fail({ code: 'depth_above_rim', depthMm });
}

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

/** How far apart turns and what is usual may be before they contradict each other, as a factor. Assumption: five times the usual spread. */
const TURNS_FACTOR = 2;

/** The backing as so many turns between two surfaces show it: its thickness and tightness in one, put down to the thickness. */
function lyingAs(
	spool: Spool,
	fromMm: number,
	toMm: number,
	turns: number,
	{ diameterMm, layEfficiency }: BackingUnder
): Result<UnknownComponent> {
	if (!(turns > 0)) return fail({ code: 'no_turns_yet' }, ['turns']);
	const shown = layOfTurns(spool, fromMm, toMm, turns, diameterMm) / layEfficiency;
	if (shown > TURNS_FACTOR || shown < 1 / TURNS_FACTOR)
		return fail(
			{
				code: 'turns_contradict',
				turns,
				low: turns / shown / TURNS_FACTOR,
				high: (turns / shown) * TURNS_FACTOR
			},
			['turns']
		);
	return ok({
		role: 'backing',
		layEfficiency,
		diameterMm: diameterMm / Math.sqrt(shown),
		spreads: { diameterShare: UNKNOWN_DIAMETER_SHARE, layShare: 0 }
	});
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

/** What lies above the backing, and the backing itself, as they were seen to lie in a half-fit or a reverse fill. */
export interface SeenAlone {
	/** Read with everything above the backing alone on the bare arbor. */
	readonly depthMm: number;
	/** Turns of backing that then went over it, to the gap. */
	readonly reverseTurns?: number | undefined;
}

/**
 * A problem with what a half-fit has told of its line, by what was thought of it and by the depth read; and with a reverse fill, what
 * its turns have told of the backing. Issues: `depth_below_arbor`, `depth_above_rim` and `reading_contradicts` at `depthMm`; those of
 * {@link halfFit} at `turns`.
 */
export function asSeenAlone(problem: Problem, seen: SeenAlone, spreads: Spreads): Result<Stack> {
	const reading: Reading = { kind: 'line-alone', depthMm: seen.depthMm };
	const belief = believe(problem, [reading], spreads);
	if (!belief.ok) return belief;
	const { state, posterior, story, stop } = belief.value;
	const built = within(spoolOf(problem.source), 'spool');
	if (!built.ok) return built;
	const { spool } = built.value;
	const surface = within(surfaceAtDepth(spool, seen.depthMm), 'depthMm');
	if (!surface.ok) return surface;
	const impossible = contradiction(belief.value, () => ['depthMm']);
	if (impossible) return impossible;
	const toMm = spool.gapFromRadiusMm - problem.gapMm;
	// The space that leaves the stop depth of each world, as it would be on the spool that is described.
	const takes = (world: World): number =>
		volumeToRadius(spool, toMm) -
		volumeOfRadius(spool, spool.rimRadiusMm - rightTodo(world, story, stop, problem).stopDepthMm);
	// A reverse fill measures the backing between the two surfaces that were read, whatever was thought of the line.
	const reversed = seen.reverseTurns !== undefined;
	const takesMm3 = reversed ? volumeToRadius(spool, surface.value) : takes(posterior.world);
	const thoughtMm3 = problem.stack.slice(stop + 1).reduce((sum, c) => sum + spaceMm3(c), 0);
	const factor = takesMm3 / thoughtMm3;
	const bulkShare =
		Math.sqrt(varianceAlong(posterior.covariance, gradient(state, posterior.at, takes))) / takesMm3;
	const stack = problem.stack.map((c, i) =>
		i <= stop || !isKnown(c)
			? c
			: { ...c, sections: scaleBulk(c.sections, factor), spreads: { bulkShare, layShare: AGAIN_SHARE } }
	);
	const backing = stack[stop]!;
	if (seen.reverseTurns === undefined || isKnown(backing)) return ok(stack);
	if (!(toMm > surface.value))
		return fail(
			{ code: 'line_alone_fills', gapMm: spool.gapFromRadiusMm - surface.value, wantedMm: problem.gapMm },
			['gapMm']
		);
	const lying = lyingAs(spool, surface.value, toMm, seen.reverseTurns, backing);
	if (!lying.ok) return lying;
	const shares = { diameterShare: 0, layShare: AGAIN_SHARE };
	return ok(stack.with(stop, { ...backing, diameterMm: lying.value.diameterMm, spreads: shares }));
}
