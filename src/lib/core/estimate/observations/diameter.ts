import { isKnown } from '../../fit/stack';
import type { DiameterReading } from '../reading';
import type { Observation } from './observation';

/** Calipers, or wraps on a rule, on a strand of one thickness. */
export const diameter: Observation<DiameterReading> = {
	value: ({ diameterMm }) => diameterMm,
	sigma: ({ diameterMm, sigmaMm }, { diameterShare }) => sigmaMm ?? diameterShare * diameterMm,
	predict:
		({ component }) =>
		({ stack }) => {
			const strand = stack[component]!;
			return isKnown(strand) ? strand.sections[0]!.startDiameterMm : strand.diameterMm;
		}
};
