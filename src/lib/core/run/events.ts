import type { StepKey } from '../procedure/steps';

interface Common {
	/** Made by whoever adds the event; the same event sent twice carries the same one. */
	readonly id: string;
	/** When it happened, ms since 1970, by the clock of whoever adds it. */
	readonly at: number;
}

/** A step ticked off, or the tick taken back. */
export interface StepEvent extends Common {
	readonly kind: 'step';
	readonly step: StepKey;
	readonly done: boolean;
}

/** Turns counted by hand on one part; negative when some came off again. */
export interface TurnsEvent extends Common {
	readonly kind: 'turns';
	readonly part: string;
	readonly turns: number;
}

/**
 * What a counter reads: its own total since it was switched on, and the number of its message. A total
 * needs no message before it, so that one lost on the way loses no turn, and one that comes twice adds none.
 */
export interface CounterEvent extends Common {
	readonly kind: 'counter';
	readonly part: string;
	/** One switching-on of one counter. */
	readonly session: string;
	readonly seq: number;
	readonly total: number;
}

/** A depth read at a pause, with whatever was counted until then. */
export interface DepthEvent extends Common {
	readonly kind: 'depth';
	readonly part: string;
	readonly depthMm: number;
}

export interface RemarkEvent extends Common {
	readonly kind: 'remark';
	readonly text: string;
}

/** Takes an event back. It can be taken back itself. */
export interface UndoEvent extends Common {
	readonly kind: 'undo';
	readonly of: string;
}

/** A run is nothing but these, in any order, any of them perhaps more than once. */
export type RunEvent = StepEvent | TurnsEvent | CounterEvent | DepthEvent | RemarkEvent | UndoEvent;

/** In the order they happened; at one moment, by id, so that every window agrees. */
export const inOrder = (events: readonly RunEvent[]): RunEvent[] =>
	[...events].sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));
