import { spoolOf } from '../calibrate/source';
import { solveFit } from '../fit/solve';
import { isKnown } from '../fit/stack';
import { isLevel } from '../line/sections';
import type { Problem } from '../uncertainty/inputs';

/** How much of a strand would leave the wanted gap, where its length was given. */
export interface RightLength {
	/** 0 where not even none of it leaves the gap. */
	readonly lengthMm: number;
	readonly turns: number;
	readonly stopDepthMm: number;
	/** What is left over of the length that was given, mm; negative: so much is missing. */
	readonly leftMm: number;
}

/** What would be right of the strand at `index`; undefined where it has no one thickness, or its length is looked for anyway. */
export function rightLength(problem: Problem, index: number): RightLength | undefined {
	const strand = problem.stack[index];
	if (!strand || !isKnown(strand)) return undefined;
	const [section, ...more] = strand.sections;
	if (!section || more.length > 0 || !isLevel(section)) return undefined;
	const { sections, ...rest } = strand;
	const stack = problem.stack.with(index, { ...rest, diameterMm: sections[0]!.startDiameterMm });
	const built = spoolOf(problem.source);
	const fit = built.ok ? solveFit(built.value.spool, stack, problem.gapMm) : built;
	if (!fit.ok || !fit.value.solved) return undefined;
	const { lengthMm, turns, stopDepthMm } = fit.value.solved;
	return { lengthMm, turns, stopDepthMm, leftMm: section.lengthMm - lengthMm };
}
