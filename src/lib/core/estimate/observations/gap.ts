import { isKnown } from '../../fit/stack';
import { depthSigmaMm, type GapReading } from '../reading';
import { radiusOfVolume } from '../surfaces';
import { afterAmount, givesWayMm, HABIT, over, under, wholeMm3, type Lying, type World } from '../world';
import type { Observation } from './observation';

/** Space filled when the strand that is wound to the gap has ended, mm³, and where it began. */
export function stopped(world: World, lying: Lying, stop: number): { startMm3: number; endMm3: number } {
	const startMm3 = under(world, lying, stop);
	const endMm3 = isKnown(world.stack[stop]!)
		? startMm3 + wholeMm3(world, lying, stop)
		: afterAmount(world, lying, stop, startMm3, lying.amounts[stop] ?? {});
	return { startMm3, endMm3 };
}

/** The gap that is left when all of the rest lies over it. */
export const gapOver = (world: World, lying: Lying, stop: number, startMm3: number, endMm3: number): number =>
	world.spool.gapFromRadiusMm -
	radiusOfVolume(world.spool, endMm3 + over(world, lying, stop)) +
	givesWayMm(world, startMm3, endMm3);

/** The gap with everything on. */
export const gap: Observation<GapReading> = {
	value: ({ gapMm }) => gapMm,
	sigma: depthSigmaMm,
	predict: (_, lying, stop) => (world) => {
		const { startMm3, endMm3 } = stopped(world, lying, stop);
		return gapOver(world, lying, stop, startMm3, endMm3) + world.off(HABIT);
	}
};
