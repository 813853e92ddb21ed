import { solveFit, surfaceForGap } from '../fit/solve';
import { levelTurns, surfaceAt } from '../fit/wind';
import { isKnown } from '../fit/stack';
import { fail, ok, under, type Result } from '../issues';
import { crossSectionMm2 } from '../line/sections';
import { packingFraction } from '../packing/packing';
import { volumeToRadius } from '../spool';
import type { Problem } from '../uncertainty/inputs';
import { spoolOf } from './source';

/** What to do with the backing once the line is on and the gap was seen. Negative: take off. */
export interface Correction {
	readonly backingChangeMm: number;
	readonly turns: number;
	/** Depth at which the backing then stands. */
	readonly stopDepthMm: number;
}

/**
 * The gap seen is not the gap wanted: the space between the two surfaces, as backing. It comes off (or goes
 * on) at the backing's own surface, under the line. Issues: those of the fit; `nothing_to_correct` when no
 * component's length was looked for, `seen_below_arbor`.
 */
export function correct(problem: Problem, seenGapMm: number): Result<Correction> {
	const built = spoolOf(problem.source);
	if (!built.ok) return { ok: false, issues: under(built.issues, 'spool') };
	const { spool } = built.value;
	const planned = solveFit(spool, problem.stack, problem.gapMm);
	if (!planned.ok) return planned;
	const { solved } = planned.value;
	const component = solved && problem.stack[solved.index];
	if (!component || isKnown(component)) return fail({ code: 'nothing_to_correct' });
	const target = surfaceForGap(spool, problem.gapMm);
	if (!target.ok) return target;
	const seenRadiusMm = spool.gapFromRadiusMm - seenGapMm;
	if (!(seenRadiusMm > spool.arborRadiusMm))
		return fail(
			{ code: 'gap_leaves_no_room', gapMm: seenGapMm, limitMm: spool.gapFromRadiusMm - spool.arborRadiusMm },
			['seen', 'gapMm']
		);
	const layer = planned.value.layers[solved.index]!;
	const standsMm3 = volumeToRadius(spool, layer.outerRadiusMm);
	const floorMm3 = volumeToRadius(spool, layer.innerRadiusMm);
	// No more can come off than there is.
	const changeMm3 = Math.max(
		volumeToRadius(spool, target.value) - volumeToRadius(spool, seenRadiusMm),
		floorMm3 - standsMm3
	);
	const packing = packingFraction(component.layEfficiency);
	const to = surfaceAt(spool, standsMm3 + changeMm3);
	const from = { radiusMm: layer.outerRadiusMm, filledMm3: standsMm3 };
	return ok({
		backingChangeMm: (packing * changeMm3) / crossSectionMm2(component.diameterMm),
		turns: levelTurns(spool, from, to, packing, component.diameterMm),
		stopDepthMm: spool.rimRadiusMm - to.radiusMm
	});
}
