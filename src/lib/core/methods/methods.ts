import { decide } from '../estimate/estimate';
import { COIL_DROP_SIGMA_MM, EYE_SIGMA_MM, type Reading } from '../estimate/reading';
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
	| 'reverse-fill'
	| 'twin-reel'
	| 'run-out';

/** How one play of a method came out. */
export interface Played {
	readonly gapMm: number;
	/** Handle turns beyond winding everything on once, on and off alike. */
	readonly extraTurns: number;
}

/** A way to find the amount. `play` sees the world through readings only; undefined when it cannot be used. */
export interface Method {
	readonly slug: MethodSlug;
	/** Times that a rule is laid across the rims. */
	readonly readings: number;
	/** It takes a second reel, or a field: it is compared, but not recommended to somebody who may have neither. */
	readonly takes?: 'second-reel' | 'field';
	readonly play: (world: World, belief: Belief) => Played | undefined;
}

/** Share of the planned turns at which the pause comes: late enough to be exact, early enough to act on. */
export const PAUSE_SHARE = 0.8;

/** Places round the spool at which every method lays the rule, so that they can be compared; it takes the mean. */
const PLACES = 2;

const once = (world: World, stop: Surface): Played => ({
	gapMm: world.gapMm(world.windRest(stop)),
	extraTurns: 0
});

/** The figure on the box, less the allowance, wound by its length. */
const makersFigure: Method = {
	slug: 'makers-figure',
	readings: 0,
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
	readings: 0,
	play: (world) => once(world, world.windToDepth(world.rightDepthMm + world.off(sigmaMm)))
});

/** The computed length, measured off or counted in turns. */
const calculation: Method = {
	slug: 'calculation',
	readings: 0,
	play: (world, { solved }) => once(world, world.windLength(world.floor, solved.lengthMm))
};

/** The computed depth, read with a rule. */
const stopDepth: Method = {
	slug: 'stop-depth',
	readings: PLACES,
	play: (world, { solved }) => once(world, world.windToDepth(solved.stopDepthMm, PLACES))
};

/** A pause to read the depth, the remaining turns counted, and the rule once more at the end. */
const pauseAndCount: Method = {
	slug: 'checkpoint',
	readings: 2 * PLACES,
	play: (world, { problem, solved, spreads }) => {
		const readings: Reading[] = [];
		let [surface, turns] = [world.floor, 0];
		const wind = (more: number): void => {
			surface = world.windTurns(surface, more);
			turns += more;
		};
		wind(PAUSE_SHARE * solved.turns);
		for (let pause = 0; pause < 2; pause++) {
			const depthMm = world.readDepthMm(surface, PLACES);
			readings.push({ kind: 'depth', component: solved.index, turns, depthMm, places: PLACES });
			const told = decide(problem, readings, spreads);
			if (!told.ok) return undefined;
			wind(Math.max(told.value.turns, -turns));
		}
		return once(world, surface);
	}
};

/** The line alone on the bare arbor, its depth read, and off again. */
const halfFitted: Method = {
	slug: 'half-fit',
	readings: 2 * PLACES,
	play: (world, { problem, solved, spreads }) => {
		if (solved.index > 0) return undefined;
		const depthMm = world.readDepthMm(world.windRest(world.floor), PLACES);
		const told = decide(problem, [{ kind: 'line-alone', depthMm, places: PLACES }], spreads);
		if (!told.ok) return undefined;
		const stop = world.windToDepth(told.value.stopDepthMm, PLACES);
		return {
			gapMm: world.gapMm(world.windRest(stop, true)),
			extraTurns: 2 * world.turnsOfRest(world.floor)
		};
	}
};

/** From a reverse fill to the gap, all of it off, and on again in the right order. */
const reverseFill: Method = {
	slug: 'reverse-fill',
	readings: 1,
	play: (world, { problem }) => {
		const line = world.windRest(world.floor);
		const { turns, again } = world.fillToGap(line, problem.gapMm);
		return {
			gapMm: world.gapMm(world.windRest(again, true)),
			extraTurns: 2 * (world.turnsOfRest(world.floor) + turns)
		};
	}
};

/** 1σ of how far two spools of one model differ in the gap that the same fill leaves, mm. Assumption. */
const TWIN_SIGMA_MM = 0.2;

/** Filled back to front once, joined already, and turned round without being wound a third time: over a twin reel, or on the ground. */
const turnedRound = (
	slug: 'twin-reel' | 'run-out',
	takes: 'second-reel' | 'field',
	seenOffMm: number
): Method => ({
	slug,
	readings: 1,
	takes,
	play: (world, { problem }) => {
		const line = world.windRest(world.floor);
		const { turns, again } = world.fillToGap(line, problem.gapMm + world.off(seenOffMm));
		// On the ground the line is taken up from its front end; for a twin reel it is wound over to a spool before.
		const over = takes === 'field' ? 1 : 2;
		return {
			gapMm: world.gapMm(world.windRest(again, true)),
			extraTurns: over * world.turnsOfRest(world.floor) + turns
		};
	}
});

/** From the least trouble to the most. */
export const METHODS: readonly Method[] = [
	makersFigure,
	byEye('by-eye', EYE_SIGMA_MM),
	byEye('coil-drop', COIL_DROP_SIGMA_MM),
	calculation,
	stopDepth,
	pauseAndCount,
	halfFitted,
	turnedRound('twin-reel', 'second-reel', TWIN_SIGMA_MM),
	turnedRound('run-out', 'field', 0),
	reverseFill
];
