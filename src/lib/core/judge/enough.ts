import { spoolOf } from '../calibrate/source';
import { solveFit, type Fit } from '../fit/solve';
import { isKnown, type UnknownComponent } from '../fit/stack';
import { rearLengthOfVolume } from '../fit/wind';
import { BACKING_MATERIALS, type BackingMaterial } from '../line/material';
import { crossSectionMm2, totalLengthMm } from '../line/sections';
import { packingFraction } from '../packing/packing';
import { radiusAtVolume, volumeToRadius, type Spool } from '../spool';
import type { Problem } from '../uncertainty/inputs';
import { toMm } from '../units/units';
import { overMm3, TIGHT_GAP_MM } from './judge';

/** What is fished for, and the least backing people are content with. Common practice; everyone may put their own. */
export const QUARRIES = [
	{ slug: 'small-stream', label: 'small stream', leastMm: toMm(40, 'yd') },
	{ slug: 'trout', label: 'trout and grayling', leastMm: toMm(75, 'yd') },
	{ slug: 'fresh-water', label: 'most fresh water', leastMm: toMm(100, 'yd') },
	{ slug: 'sea-run', label: 'sea-run fish, light salmon', leastMm: toMm(150, 'yd') },
	{ slug: 'salt', label: 'salt water', leastMm: toMm(200, 'yd') }
] as const;

/** A way to come to the backing that is wanted, each computed on this very spool. */
export type MoreBacking =
	| { kind: 'thinner-backing'; material: BackingMaterial; lengthMm: number }
	| { kind: 'smaller-gap'; gapMm: number; lengthMm: number }
	| { kind: 'shorter-line'; cutMm: number };

/** A length that falls short by less than this share of it is the same length, rounded. */
const ROUNDING_SHARE = 1e-5;

/** Whether a length is as much as is wanted. */
export const isEnough = (lengthMm: number, leastMm: number): boolean =>
	lengthMm >= leastMm * (1 - ROUNDING_SHARE);

/** What is there to work with: the open component, its spool, and how much space is missing. */
interface Shortage {
	readonly problem: Problem;
	readonly spool: Spool;
	readonly index: number;
	readonly open: UnknownComponent;
	readonly leastMm: number;
	readonly missingMm3: number;
}

/** The thickest backing that is thin enough. */
function thinner({ problem, spool, index, open, leastMm }: Shortage): MoreBacking | undefined {
	for (const material of [...BACKING_MATERIALS].sort((a, b) => b.diameterMm - a.diameterMm)) {
		if (material.slug.startsWith('mono') || material.diameterMm >= open.diameterMm) continue;
		const stack = problem.stack.with(index, { ...open, diameterMm: material.diameterMm });
		const fit = solveFit(spool, stack, problem.gapMm);
		const lengthMm = fit.ok && fit.value.fits ? (fit.value.solved?.lengthMm ?? 0) : 0;
		if (lengthMm >= leastMm) return { kind: 'thinner-backing', material, lengthMm };
	}
	return undefined;
}

/** The widest gap that leaves the space; none below what "just clears". */
function narrower({ problem, spool, leastMm, missingMm3 }: Shortage): MoreBacking | undefined {
	const surfaceMm = Math.max(spool.gapFromRadiusMm - problem.gapMm, spool.arborRadiusMm);
	const gapMm = spool.gapFromRadiusMm - radiusAtVolume(spool, volumeToRadius(spool, surfaceMm) + missingMm3);
	return gapMm >= TIGHT_GAP_MM ? { kind: 'smaller-gap', gapMm, lengthMm: leastMm } : undefined;
}

/** Line off its rear: the running line can be cut, the head cannot. */
function shorter({ problem, missingMm3 }: Shortage): MoreBacking | undefined {
	const line = problem.stack.findLast((c) => isKnown(c) && c.role === 'line');
	if (!line || !isKnown(line)) return undefined;
	const cutMm = rearLengthOfVolume(line.sections, missingMm3 * packingFraction(line.layEfficiency));
	return cutMm < 0.5 * totalLengthMm(line.sections) ? { kind: 'shorter-line', cutMm } : undefined;
}

/**
 * What would bring the open length of a problem to `leastMm`: the least change of each kind that does.
 * Empty when there is enough already, or nothing to solve.
 */
export function moreBacking(problem: Problem, planned: Fit, leastMm: number): MoreBacking[] {
	const { solved, fits } = planned;
	const built = spoolOf(problem.source);
	if (!solved || !built.ok || (fits && isEnough(solved.lengthMm, leastMm))) return [];
	const open = problem.stack[solved.index]!;
	if (isKnown(open)) return [];
	const { spool } = built.value;
	const perMm = crossSectionMm2(open.diameterMm) / packingFraction(open.layEfficiency);
	// What the line alone stands too high has to go as well.
	const missingMm3 = fits ? (leastMm - solved.lengthMm) * perMm : leastMm * perMm + overMm3(problem, planned);
	const shortage: Shortage = { problem, spool, index: solved.index, open, leastMm, missingMm3 };
	return [thinner(shortage), narrower(shortage), shorter(shortage)].filter((way) => way !== undefined);
}
