import { spoolOf } from '../calibrate/source';
import { solveFit, type Fit } from '../fit/solve';
import { isKnown } from '../fit/stack';
import { rearLengthOfVolume } from '../fit/wind';
import { BACKING_MATERIALS, type BackingMaterial } from '../line/material';
import { crossSectionMm2 } from '../line/sections';
import { packingFraction } from '../packing/packing';
import { volumeToRadius, radiusAtVolume } from '../spool';
import type { Problem } from '../uncertainty/inputs';
import { toMm } from '../units/units';
import { TIGHT_GAP_MM } from './judge';

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

/**
 * What would bring the open length of a problem to `leastMm`: the least change of each kind that does.
 * Empty when there is enough already, or nothing to solve.
 */
export function waysToEnough(problem: Problem, planned: Fit, leastMm: number): MoreBacking[] {
	const { solved } = planned;
	const built = spoolOf(problem.source);
	if (!solved || !built.ok || (planned.fits && solved.lengthMm >= leastMm)) return [];
	const { spool } = built.value;
	const open = problem.stack[solved.index]!;
	if (isKnown(open)) return [];
	const ways: MoreBacking[] = [];

	for (const material of [...BACKING_MATERIALS].sort((a, b) => b.diameterMm - a.diameterMm)) {
		if (material.slug.startsWith('mono') || material.diameterMm >= open.diameterMm) continue;
		const stack = problem.stack.with(solved.index, { ...open, diameterMm: material.diameterMm });
		const fit = solveFit(spool, stack, problem.gapMm);
		const lengthMm = fit.ok && fit.value.fits ? (fit.value.solved?.lengthMm ?? 0) : 0;
		if (lengthMm >= leastMm) {
			ways.push({ kind: 'thinner-backing', material, lengthMm });
			break;
		}
	}

	const perMm = crossSectionMm2(open.diameterMm) / packingFraction(open.layEfficiency);
	const missingMm3 = (leastMm - (planned.fits ? solved.lengthMm : 0)) * perMm;
	const overMm3 = planned.fits
		? 0
		: volumeToRadius(spool, planned.layers.at(-1)!.outerRadiusMm) -
			volumeToRadius(spool, Math.max(spool.gapFromRadiusMm - problem.gapMm, spool.arborRadiusMm));
	const surfaceMm = Math.max(spool.gapFromRadiusMm - problem.gapMm, spool.arborRadiusMm);
	const fullMm = radiusAtVolume(spool, volumeToRadius(spool, surfaceMm) + missingMm3 + overMm3);
	const gapMm = spool.gapFromRadiusMm - fullMm;
	if (gapMm >= TIGHT_GAP_MM) ways.push({ kind: 'smaller-gap', gapMm, lengthMm: leastMm });

	const line = problem.stack.findLast((c) => isKnown(c) && c.role === 'line');
	if (line && isKnown(line)) {
		const cutMm = rearLengthOfVolume(
			line.sections,
			(missingMm3 + overMm3) * packingFraction(line.layEfficiency)
		);
		const wholeMm = line.sections.reduce((sum, s) => sum + s.lengthMm, 0);
		// The running line can be cut; the head cannot.
		if (cutMm < 0.5 * wholeMm) ways.push({ kind: 'shorter-line', cutMm });
	}
	return ways;
}
