import { spoolOf } from '../../calibrate/source';
import { isKnown } from '../../fit/stack';
import { fail, ok, within, type Result } from '../../issues';
import type { Problem } from '../../uncertainty/inputs';
import type { Range } from '../../uncertainty/propagate';
import { DEFAULT_SPREADS, type Spreads } from '../../uncertainty/spreads';
import { believe } from '../belief';
import { estimateOf } from '../estimate';
import type { Reading } from '../reading';
import { contradiction } from './contradiction';
import { surfaceAtDepth } from './seen-alone';

/** A check while winding: which component is going on, its turns so far, and the depth a rule reads. */
export interface CheckpointReading {
	readonly component: number;
	readonly turns: number;
	readonly depthMm: number;
	readonly places?: number | undefined;
}

export interface Checkpoint {
	readonly lengthSoFarMm: number;
	readonly remaining: { readonly turns: number; readonly lengthMm: number };
	/** Depth at which this component ends. */
	readonly stopDepthMm: number;
	/** Final gap after the remaining turns and everything above. */
	readonly gapMm: number;
	/** η that the reading and what is usual amount to, the diameter taken as given. */
	readonly layEfficiency: number;
	/** The reading is far from what was expected, and was left out: read again. */
	readonly surprise: boolean;
	readonly ranges: Record<
		'lengthSoFarMm' | 'turns' | 'lengthMm' | 'stopDepthMm' | 'gapMm' | 'gapByDepthMm',
		Range
	>;
}

/**
 * At a pause: turns so far and the depth read. Together they say how much room the strand takes, and an early pause says it only
 * roughly, so what is usual counts as well. Issues: `no_such_component`, `no_turns_yet`, `depth_below_arbor`,
 * `depth_above_rim` and `reading_contradicts`, else those of the problem.
 */
export function checkpoint(
	problem: Problem,
	{ component, turns, depthMm, places }: CheckpointReading,
	spreads: Spreads = DEFAULT_SPREADS
): Result<Checkpoint> {
	if (!(turns > 0)) return fail({ code: 'no_turns_yet' }, ['turns']);
	if (!problem.stack[component])
		return fail({ code: 'no_such_component', index: component, count: problem.stack.length }, ['component']);
	const built = within(spoolOf(problem.source), 'spool');
	if (!built.ok) return built;
	const surface = within(surfaceAtDepth(built.value.spool, depthMm), 'depthMm');
	if (!surface.ok) return surface;
	const reading: Reading = { kind: 'depth', component, turns, depthMm, places };
	const belief = believe(problem, [reading], spreads);
	if (!belief.ok) return belief;
	const impossible = contradiction(belief.value, () => ['depthMm']);
	if (impossible) return impossible;
	const { going, gap, stop, readings } = estimateOf(belief.value);
	const { lengthMm: soFar, turnsLeft, lengthLeftMm: length, endDepthMm, layEfficiency } = going!;
	const wound = component === stop && !isKnown(problem.stack[stop]!);
	const final = wound ? gap.byTurns : gap.asItIs;
	return ok({
		lengthSoFarMm: soFar.value,
		remaining: { turns: turnsLeft.value, lengthMm: length.value },
		stopDepthMm: endDepthMm.value,
		gapMm: final.value,
		layEfficiency: layEfficiency.value,
		surprise: readings[0]!.surprise,
		ranges: {
			lengthSoFarMm: soFar.range,
			turns: turnsLeft.range,
			lengthMm: length.range,
			stopDepthMm: endDepthMm.range,
			gapMm: final.range,
			gapByDepthMm: wound ? gap.byDepth.range : final.range
		}
	});
}
