import { COIL_DROP_SIGMA_MM, depthSigmaMm, EYE_SIGMA_MM, type DepthReading } from '../reading';
import { radiusOfVolume } from '../surfaces';
import { afterAmount, HABIT, under } from '../world';
import type { Observation } from './observation';

/** A rule across the rims down to a strand, or an eye, or a coil laid into the spool. */
export const depth: Observation<DepthReading> = {
	value: ({ depthMm }) => depthMm,
	sigma: (reading, spreads) => {
		if (reading.by === 'eye') return reading.sigmaMm ?? EYE_SIGMA_MM;
		if (reading.by === 'coil-drop') return reading.sigmaMm ?? COIL_DROP_SIGMA_MM;
		return depthSigmaMm(reading, spreads);
	},
	predict: (reading, lying) => (world) => {
		const { component } = reading;
		const filledMm3 = afterAmount(world, lying, component, under(world, lying, component), reading);
		return world.spool.rimRadiusMm - radiusOfVolume(world.spool, filledMm3) + world.off(HABIT);
	}
};
