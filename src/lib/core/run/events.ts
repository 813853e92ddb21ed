import type { TakenAs } from '../estimate/reading';
import type { RemedyKey } from '../procedure/remedies';

interface Common {
	/** Made by whoever adds the event; the same event sent twice carries the same one. */
	readonly id: string;
	/** When it happened, ms since 1970, by the clock of whoever adds it. */
	readonly at: number;
}

/** A step ticked off, or the tick undone. */
export interface StepEvent extends Common {
	readonly kind: 'step';
	readonly step: string;
	readonly done: boolean;
	/** How long it was planned to take, before anything was learnt: what a tempo is learnt against. */
	readonly plannedSeconds?: number | undefined;
}

/** Something on the list of tools is there, or is not after all. */
export interface ToolEvent extends Common {
	readonly kind: 'tool';
	readonly tool: string;
	readonly here: boolean;
}

/** How turns came to be known: counted, wound to a pace for some time, from the weight that left the supply, or set by hand. */
export const COUNTED_BY = ['hand', 'pace', 'weight', 'set'] as const;

/** Turns counted on one part; negative when some came off again. */
export interface TurnsEvent extends Common {
	readonly kind: 'turns';
	readonly part: string;
	readonly turns: number;
	readonly by?: (typeof COUNTED_BY)[number] | undefined;
	/** 1σ of the count that this leads to, where it was weighed and not counted. */
	readonly sigmaTurns?: number | undefined;
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
	/** Read when the counter was first linked to this run: what it had counted before belongs to something else. */
	readonly base?: boolean | undefined;
}

/** A depth read at a pause, with whatever was counted until then. */
export interface DepthEvent extends Common {
	readonly kind: 'depth';
	readonly part: string;
	readonly depthMm: number;
	/** Everything was on: it is the gap that was read. */
	readonly finished?: boolean | undefined;
}

/** The count of a part was lost: what was counted of it until now says nothing any more. */
export interface LostCountEvent extends Common {
	readonly kind: 'lost-count';
	readonly part: string;
}

/** What is behind a depth that was a surprise. */
export interface TakenAsEvent extends Common {
	readonly kind: 'taken-as';
	/** The depth. */
	readonly of: string;
	readonly as: TakenAs;
}

/** Something went wrong: these steps are open again, and what was wound on these parts is off. */
export interface RemedyEvent extends Common {
	readonly kind: 'remedy';
	readonly remedy: RemedyKey;
	readonly step: string;
	readonly back: string;
	readonly reopens: readonly string[];
	readonly off: readonly string[];
}

export interface RemarkEvent extends Common {
	readonly kind: 'remark';
	readonly text: string;
	readonly step?: string | undefined;
}

/** A photo that was taken on a step; the picture itself is kept under its own id. */
export interface PhotoEvent extends Common {
	readonly kind: 'photo';
	readonly photo: string;
	readonly step: string;
}

/** A part that came off was tied into a coil, with this written on it. */
export interface CoilEvent extends Common {
	readonly kind: 'coil';
	readonly part: string;
	readonly label: string;
}

/** A bight that was held up: how long, and how often it spun, positive as a right-handed screw. */
export interface LoopTestEvent extends Common {
	readonly kind: 'loop-test';
	readonly bightMm: number;
	readonly spins: number;
}

/** The backing was pulled hard. */
export interface TugEvent extends Common {
	readonly kind: 'tug';
	readonly result: 'passed' | 'doubtful' | 'failed';
}

/** Undoes an event. It can be undone itself. */
export interface UndoEvent extends Common {
	readonly kind: 'undo';
	readonly of: string;
}

/** A run is nothing but these, in any order, any of them perhaps more than once. */
export type RunEvent =
	| StepEvent
	| ToolEvent
	| TurnsEvent
	| CounterEvent
	| DepthEvent
	| LostCountEvent
	| TakenAsEvent
	| RemedyEvent
	| RemarkEvent
	| PhotoEvent
	| CoilEvent
	| LoopTestEvent
	| TugEvent
	| UndoEvent;

/** In the order they happened; at one moment, by id, so that every window agrees. */
export const inOrder = (events: readonly RunEvent[]): RunEvent[] =>
	[...events].sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));
