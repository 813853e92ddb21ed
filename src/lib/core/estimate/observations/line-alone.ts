import { depthSigmaMm, type LineAloneReading, type OverLineReading } from '../reading';
import { radiusOfVolume } from '../surfaces';
import { afterTurns, countOff, HABIT, over, type World } from '../world';
import type { Observation } from './observation';

const depthOf = (world: World, filledMm3: number): number =>
	world.spool.rimRadiusMm - radiusOfVolume(world.spool, filledMm3) + world.off(HABIT);

/** The depth with everything above the backing alone on the bare arbor. */
export const lineAlone: Observation<LineAloneReading> = {
	value: ({ depthMm }) => depthMm,
	sigma: depthSigmaMm,
	predict: (_, lying, stop) => (world) => depthOf(world, over(world, lying, stop))
};

/** And with so many turns of backing over it. */
export const overLine: Observation<OverLineReading> = {
	value: ({ depthMm }) => depthMm,
	sigma: depthSigmaMm,
	predict:
		({ turns }, lying, stop) =>
		(world) => {
			const on = turns * (1 + world.off(countOff(stop)));
			return depthOf(world, afterTurns(world, lying, stop, over(world, lying, stop), on));
		}
};
