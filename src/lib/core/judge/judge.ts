import { spoolOf } from '../calibrate/source';
import { solveFit, type Excess, type Fit } from '../fit/solve';
import { isKnown, type Component, type Role } from '../fit/stack';
import { rearLengthOfVolume } from '../fit/wind';
import { taperOf, type LineClass } from '../line/class';
import { totalLengthMm } from '../line/sections';
import { packingFraction } from '../packing/packing';
import { volumeToRadius } from '../spool';
import { BACKING_MATERIALS, type BackingMaterial } from '../line/material';
import type { FirstOrder } from '../uncertainty/first-order';
import type { Problem } from '../uncertainty/inputs';
import { toMm } from '../units/units';

/**
 * The least backing people are content with under a line of this number, mm. Common practice: about
 * 40 yd on a #3–4, 75 on a trout reel, 100 for most fresh water, 150 on a light salmon reel, 200 for salt.
 */
export function usualBackingMm(lineNumber: number): number {
	const steps: readonly [upTo: number, yards: number][] = [
		[4, 40],
		[6, 75],
		[8, 100],
		[10, 150],
		[Infinity, 200]
	];
	return toMm(steps.find(([upTo]) => lineNumber <= upTo)![1], 'yd');
}

/** A gap that "just clears". Common practice: 2–3 mm. */
export const TIGHT_GAP_MM = 2.5;

export type Alternative =
	| { kind: 'thinner-backing'; material: BackingMaterial; lengthMm: number }
	| { kind: 'smaller-gap'; gapMm: number; lengthMm: number }
	| { kind: 'no-backing'; gapMm: number }
	| { kind: 'shorter-line'; role: Role; cutMm: number }
	| { kind: 'wider-spool'; widthMm: number }
	| { kind: 'lighter-line'; line: LineClass; lengthMm: number };

export type Verdict =
	| { kind: 'too-big'; excess: Excess; remedies: readonly Alternative[] }
	| {
			kind: 'fits';
			backing: 'short' | 'usual' | 'plenty';
			usualMm: number;
			/** The low end of the gap's range is below nothing: it may rub. */
			mayRub: boolean;
			remedies: readonly Alternative[];
	  };

function lengthWith(problem: Problem, change: Partial<Problem>): number | undefined {
	const changed = { ...problem, ...change };
	const built = spoolOf(changed.source);
	const fit = built.ok ? solveFit(built.value.spool, changed.stack, changed.gapMm) : built;
	return fit.ok && fit.value.fits ? fit.value.solved?.lengthMm : undefined;
}

const present = <T>(value: T | undefined): value is T => value !== undefined;

function moreBacking(problem: Problem, lengthMm: number): Alternative[] {
	const backing = problem.stack.find((component) => !isKnown(component));
	const thinner = BACKING_MATERIALS.filter(
		(m) => backing && !isKnown(backing) && m.diameterMm < 0.95 * backing.diameterMm
	).at(0);
	const swap = (component: Component): Component =>
		isKnown(component) || !thinner ? component : { ...component, diameterMm: thinner.diameterMm };
	const withThinner = thinner && lengthWith(problem, { stack: problem.stack.map(swap) });
	const withLessGap = problem.gapMm > TIGHT_GAP_MM ? lengthWith(problem, { gapMm: TIGHT_GAP_MM }) : undefined;
	const remedies: (Alternative | undefined)[] = [
		withThinner ? { kind: 'thinner-backing', material: thinner, lengthMm: withThinner } : undefined,
		withLessGap && withLessGap > lengthMm
			? { kind: 'smaller-gap', gapMm: TIGHT_GAP_MM, lengthMm: withLessGap }
			: undefined
	];
	return remedies.filter(present);
}

/** Space by which a stack that does not fit is too big for the gap that was wanted, mm³. */
export function overMm3({ source, gapMm }: Problem, fit: Fit): number {
	const built = spoolOf(source);
	if (!built.ok) return 0;
	const { spool } = built.value;
	const surfaceMm = Math.max(spool.gapFromRadiusMm - gapMm, spool.arborRadiusMm);
	return volumeToRadius(spool, fit.layers.at(-1)!.outerRadiusMm) - volumeToRadius(spool, surfaceMm);
}

/** What can be cut is thin line: the rear of a whole line, or a running line. A head stays whole. */
function shorterLine({ stack }: Problem, spaceMm3: number): Alternative | undefined {
	const thin = stack.find((c) => c.role === 'running-line') ?? stack.findLast((c) => c.role === 'line');
	if (!thin || !isKnown(thin)) return undefined;
	const cutMm = rearLengthOfVolume(thin.sections, spaceMm3 * packingFraction(thin.layEfficiency));
	return cutMm < 0.7 * totalLengthMm(thin.sections)
		? { kind: 'shorter-line', role: thin.role, cutMm }
		: undefined;
}

/** A spool of the same diameters that would take it. */
function widerSpool({ source, gapMm }: Problem, spaceMm3: number): Alternative | undefined {
	const built = spoolOf(source);
	if (!built.ok) return undefined;
	const { spool } = built.value;
	const roomMm3 = volumeToRadius(spool, Math.max(spool.gapFromRadiusMm - gapMm, spool.arborRadiusMm));
	const rimMm = spool.profile.at(-1)!.widthMm;
	return roomMm3 > 0 ? { kind: 'wider-spool', widthMm: rimMm * (1 + spaceMm3 / roomMm3) } : undefined;
}

/** The heaviest lighter line of the same kind that fits over at least its usual backing, or else over any. */
function lighterLine(problem: Problem, line: LineClass): Alternative | undefined {
	const candidates = Array.from({ length: line.number - 1 }, (_, i) => line.number - 1 - i).flatMap(
		(number) => {
			const lighter = { ...line, number };
			const stack = problem.stack.map((c) =>
				c.role === 'line' && isKnown(c) ? { ...c, sections: taperOf(lighter) } : c
			);
			const lengthMm = lengthWith(problem, { stack });
			return lengthMm === undefined ? [] : [{ kind: 'lighter-line' as const, line: lighter, lengthMm }];
		}
	);
	return candidates.find((c) => c.lengthMm >= usualBackingMm(c.line.number)) ?? candidates[0];
}

/**
 * What a practitioner would say of a fit, as data: whether it fits, whether the backing is what is usual
 * for the line, and when something does not work, what would, each computed.
 */
export function judge(problem: Problem, fit: Fit, estimate: FirstOrder, line: LineClass): Verdict {
	if (!fit.fits) {
		const excess = fit.excess ?? { gapMm: 0, lengthMm: 0, notEnough: false };
		const tight = fit.gapMm > 0 ? { kind: 'no-backing' as const, gapMm: fit.gapMm } : undefined;
		const over = overMm3(problem, fit);
		const remedies = [
			lighterLine(problem, line),
			shorterLine(problem, over),
			widerSpool(problem, over),
			tight
		];
		return { kind: 'too-big', excess, remedies: remedies.filter(present) };
	}
	const lengthMm =
		fit.solved?.lengthMm ??
		fit.layers.reduce((sum, layer) => sum + (layer.role === 'backing' ? layer.lengthMm : 0), 0);
	const usualMm = usualBackingMm(line.number);
	const backing = lengthMm < 0.95 * usualMm ? 'short' : lengthMm > 1.4 * usualMm ? 'plenty' : 'usual';
	return {
		kind: 'fits',
		backing,
		usualMm,
		mayRub: estimate.ranges.gapMm.low < 0,
		remedies: backing === 'short' ? moreBacking(problem, lengthMm) : []
	};
}
