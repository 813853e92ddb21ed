import { isKnown } from '../../fit/stack';
import { fail, ok, type Result } from '../../issues';
import type { Problem } from '../../uncertainty/inputs';
import type { Range } from '../../uncertainty/propagate';
import { DEFAULT_SPREADS, type Spreads } from '../../uncertainty/spreads';
import { believe, type Belief } from '../belief';
import { estimateOf, type Estimate } from '../estimate';
import { aboutAsPlanned, type Amount, type Reading } from '../reading';
import { contradiction } from './contradiction';

/** The gap with everything on, and what is known of how the backing was wound. */
export interface Seen {
	readonly gapMm: number;
	readonly places?: number | undefined;
	/** Turns or length of the backing that is on, and the depth read where it ended: whatever is known. */
	readonly backing?:
		(Pick<Amount, 'turns' | 'lengthMm'> & { readonly depthMm?: number | undefined }) | undefined;
}

/** What to do with the backing once the line is on and the gap was seen. Negative: take off. */
export interface Correction {
	readonly backingChangeMm: number;
	readonly turns: number;
	/** Depth at which the backing then stands. */
	readonly stopDepthMm: number;
	/** Which of the three leaves the gap surest. */
	readonly stopBy: Estimate['stopBy'];
	/** The gap is far from what was expected, and was left out: look again. */
	readonly surprise: boolean;
	readonly ranges: Record<
		'backingChangeMm' | 'turns' | 'stopDepthMm' | 'gapByDepthMm' | 'gapByLengthMm',
		Range
	>;
}

/** What was told of the backing. Where nothing was, that somebody wound about what was planned. */
function backingReading({ planned, stop }: Belief, { backing, places }: Seen): Reading {
	if (backing?.depthMm !== undefined)
		return { kind: 'depth', component: stop, ...backing, depthMm: backing.depthMm, places };
	if (backing) return { kind: 'amount', component: stop, ...backing };
	return aboutAsPlanned(stop, planned.layers[stop]!.lengthMm);
}

/**
 * The gap seen is not the gap wanted: how much backing comes off (or goes on), from what is on now. Issues: those of the fit;
 * `nothing_to_correct` when no component's length was looked for; `reading_contradicts` for a gap that cannot be.
 */
export function correct(
	problem: Problem,
	seen: Seen,
	spreads: Spreads = DEFAULT_SPREADS
): Result<Correction> {
	if (problem.stack.every(isKnown)) return fail({ code: 'nothing_to_correct' });
	const before = believe(problem, [], spreads);
	if (!before.ok) return before;
	const { gapMm, places } = seen;
	const { spool } = before.value.posterior.world;
	const limitMm = spool.gapFromRadiusMm - spool.arborRadiusMm;
	if (!(gapMm < limitMm)) return fail({ code: 'gap_leaves_no_room', gapMm, limitMm }, ['seen', 'gapMm']);
	const readings: Reading[] = [backingReading(before.value, seen), { kind: 'gap', gapMm, places }];
	const belief = believe(problem, readings, spreads);
	if (!belief.ok) return belief;
	const impossible = contradiction(belief.value, (i) => ['seen', i === 0 ? 'backing' : 'gapMm']);
	if (impossible) return impossible;
	const { todo, gap, stopBy, readings: told } = estimateOf(belief.value);
	return ok({
		backingChangeMm: todo.lengthMm.value,
		turns: todo.turns.value,
		stopDepthMm: todo.stopDepthMm.value,
		stopBy,
		surprise: told.some(({ surprise }) => surprise),
		ranges: {
			backingChangeMm: todo.lengthMm.range,
			turns: todo.turns.range,
			stopDepthMm: todo.stopDepthMm.range,
			gapByDepthMm: gap.byDepth.range,
			gapByLengthMm: gap.byLength.range
		}
	});
}
