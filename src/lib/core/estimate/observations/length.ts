import type { AmountReading, DepthReading } from '../reading';
import { afterAmount, spacePerMm, under } from '../world';
import type { Observation } from './observation';

/** 1σ of a length that was measured off, as a share. Assumption. */
export const LENGTH_SHARE = 0.01;

/** A length that went on beside a count of its turns: together they say how thick and how tight a strand of one thickness is. */
export const length: Observation<AmountReading | DepthReading> = {
	value: ({ lengthMm }) => lengthMm!,
	sigma: ({ lengthMm, lengthSigmaMm }) => lengthSigmaMm ?? LENGTH_SHARE * lengthMm!,
	predict: (reading, lying) => (world) => {
		const { component } = reading;
		const fromMm3 = under(world, lying, component);
		const filledMm3 = afterAmount(world, lying, component, fromMm3, reading);
		return (filledMm3 - fromMm3) / spacePerMm(world.stack[component]!);
	}
};
