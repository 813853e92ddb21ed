import type { Spreads } from '../../uncertainty/spreads';
import type { Reading } from '../reading';
import type { Lying, World } from '../world';

/** What a kind of reading predicts, and how far it may be off. `words` say what was read, for a list of readings. */
export interface Observation<R extends Reading = Reading> {
	/** What was read. */
	readonly value: (reading: R) => number;
	/** 1σ of its own error. */
	readonly sigma: (reading: R, spreads: Spreads) => number;
	/** What would have been read in a world where the stack lies so. `stop` is the place of the strand that is wound to the gap. */
	readonly predict: (reading: R, lying: Lying, stop: number) => (world: World) => number;
}
