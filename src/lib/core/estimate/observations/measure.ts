import type { MeasureReading } from '../reading';
import type { World } from '../world';
import type { Observation } from './observation';

const MEASURED: Record<MeasureReading['measure'], (world: World) => number> = {
	rim: ({ spool }) => 2 * spool.rimRadiusMm,
	arbor: ({ spool }) => 2 * spool.arborRadiusMm,
	width: ({ spool }) => spool.profile.at(-1)!.widthMm,
	frame: ({ spool }) => 2 * spool.gapFromRadiusMm
};

/** Calipers or a rule on the spool. */
export const measure: Observation<MeasureReading> = {
	value: ({ valueMm }) => valueMm,
	sigma: ({ measure: what, sigmaMm, places = 1 }, { rimMm, arborMm, widthMm }) =>
		(sigmaMm ?? { rim: rimMm, arbor: arborMm, width: widthMm, frame: rimMm }[what]) / Math.sqrt(places),
	predict: ({ measure: what }) => MEASURED[what]
};
