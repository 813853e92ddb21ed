import { checkpointPlan } from '../calibrate/checkpoint';
import { halfFitPlan } from '../calibrate/half-fit';
import { RATED_BULK_SPREAD, RATED_GAP_SIGMA_MM } from '../calibrate/ratings';
import { isKnown, spaceMm3 } from '../fit/stack';
import { crossSectionMm2 } from '../line/sections';
import { packingFraction } from '../packing/packing';
import type { Surface } from '../fit/wind';
import type { Belief, World } from './world';

export type MethodSlug =
	| 'makers-figure'
	| 'by-eye'
	| 'coil-drop'
	| 'calculation'
	| 'stop-depth'
	| 'checkpoint'
	| 'half-fit'
	| 'reverse-fill';

/** How one play of a method came out. */
export interface Played {
	readonly gapMm: number;
	/** Handle turns beyond winding everything on once, on and off alike. */
	readonly extraTurns: number;
}

/** A way to find the amount. `play` sees the world through readings only; undefined when it cannot be used. */
export interface Method {
	readonly slug: MethodSlug;
	readonly play: (world: World, belief: Belief) => Played | undefined;
}

/** 1σ of a stop judged by eye, and by a coil laid into the spool, mm. Assumptions: nobody has published one. */
export const EYE_SIGMA_MM = 2;
export const COIL_DROP_SIGMA_MM = 1.5;

/** Share of the planned turns at which the pause comes: late enough to be exact, early enough to act on. */
export const PAUSE_SHARE = 0.8;

/** Places round the spool at which a careful method lays the rule; it takes the mean. */
const PLACES = 2;

const once = (world: World, stop: Surface): Played => ({
	gapMm: world.gapMm(world.windRest(stop)),
	extraTurns: 0
});

/** The figure on the box, less the allowance, wound by its length. */
const makersFigure: Method = {
	slug: 'makers-figure',
	play: (world, { problem, solved }) => {
		if (problem.source.kind === 'rated') return once(world, world.windLength(world.floor, solved.lengthMm));
		// What a maker would print for this spool: right on the average once the allowance is off.
		const ratedMm3 =
			world.spaceToGapMm3(problem.gapMm + world.off(RATED_GAP_SIGMA_MM)) * (1 + world.off(RATED_BULK_SPREAD));
		const knownMm3 = problem.stack.reduce((sum, c) => sum + spaceMm3(c), 0);
		const backing = problem.stack[solved.index]!;
		if (isKnown(backing)) return undefined;
		const perMm = crossSectionMm2(backing.diameterMm) / packingFraction(backing.layEfficiency);
		return once(world, world.windLength(world.floor, (ratedMm3 - knownMm3) / perMm));
	}
};

const byEye = (slug: MethodSlug, sigmaMm: number): Method => ({
	slug,
	play: (world) => once(world, world.windToDepth(world.rightDepthMm + world.off(sigmaMm)))
});

/** The computed length, measured off or counted in turns. */
const calculation: Method = {
	slug: 'calculation',
	play: (world, { solved }) => once(world, world.windLength(world.floor, solved.lengthMm))
};

/** The computed depth, read with a rule. */
const stopDepth: Method = {
	slug: 'stop-depth',
	play: (world, { solved }) => once(world, world.windToDepth(solved.stopDepthMm))
};

/** A pause to read the depth, the remaining turns counted, and the rule once more at the end. */
const pauseAndCount: Method = {
	slug: 'checkpoint',
	play: (world, { problem, planned, solved }) => {
		const turns = PAUSE_SHARE * solved.turns;
		const paused = world.windTurns(world.floor, turns);
		const reading = { component: solved.index, turns, depthMm: world.readDepthMm(paused, PLACES) };
		const told = checkpointPlan(problem, planned, reading);
		if (!told.ok) return undefined;
		const counted = world.windTurns(paused, Math.max(told.value.turns, 0));
		// The count and the rule each tell where the surface is; the mean of the two errs less than either.
		const offMm = (world.readDepthMm(counted, PLACES) - told.value.stopDepthMm) / 2;
		const turnsPerMm = told.value.turns / (reading.depthMm - told.value.stopDepthMm);
		const stopped = Number.isFinite(turnsPerMm) ? world.windTurns(counted, offMm * turnsPerMm) : counted;
		return once(world, stopped);
	}
};

/** The line alone on the bare arbor, its depth read, and off again. */
const halfFitted: Method = {
	slug: 'half-fit',
	play: (world, { problem, spool, solved }) => {
		if (solved.index > 0) return undefined;
		const alone = world.windRest(world.floor);
		const told = halfFitPlan(spool, { lineDepthMm: world.readDepthMm(alone, PLACES), gapMm: problem.gapMm });
		if (!told.ok) return undefined;
		const stop = world.windToDepth(told.value.stopDepthMm, PLACES);
		return {
			gapMm: world.gapMm(world.windRest(stop, true)),
			extraTurns: 2 * world.turnsOfRest(world.floor)
		};
	}
};

/** Line first, backing over it to the gap, all of it off, and on again in the right order. */
const reverseFill: Method = {
	slug: 'reverse-fill',
	play: (world, { problem }) => {
		const line = world.windRest(world.floor);
		const { turns, again } = world.fillToGap(line, problem.gapMm);
		return {
			gapMm: world.gapMm(world.windRest(again, true)),
			extraTurns: 2 * (world.turnsOfRest(world.floor) + turns)
		};
	}
};

/** From the least trouble to the most. */
export const METHODS: readonly Method[] = [
	makersFigure,
	byEye('by-eye', EYE_SIGMA_MM),
	byEye('coil-drop', COIL_DROP_SIGMA_MM),
	calculation,
	stopDepth,
	pauseAndCount,
	halfFitted,
	reverseFill
];
