import { counterDeltas, counting, once } from './counting';
import type { TakenAs } from '../estimate/reading';
import type {
	CoilEvent,
	DepthEvent,
	LoopTestEvent,
	LostCountEvent,
	PhotoEvent,
	RemarkEvent,
	RemedyEvent,
	RunEvent,
	StepEvent,
	TakenAsEvent,
	ToolEvent,
	TugEvent
} from './events';

/** A line of what was noted: one event, or a burst of turns that came without a pause. */
export interface LogEntry {
	readonly kind: Exclude<RunEvent['kind'], 'undo'>;
	readonly first: RunEvent;
	readonly events: readonly RunEvent[];
	/** Turns that it added, where it added any. */
	readonly turns: number;
}

/** A count that is not a count any more: its name, and 1σ where it was found again by weighing. */
export interface Loss {
	readonly id: string;
	readonly sigmaTurns?: number | undefined;
}

/** A depth that was read, with how much was on then. */
export interface RunReading {
	readonly id: string;
	readonly at: number;
	readonly part: string;
	readonly depthMm: number;
	/** Everything was on: it is the gap that was read. */
	readonly finished: boolean;
	/** Turns that were on each part. */
	readonly turns: ReadonlyMap<string, number>;
	/** Losses of count until then that still hold, by part. */
	readonly lost: ReadonlyMap<string, Loss>;
	readonly takenAs: TakenAs | undefined;
	/** Parts that have come off since. */
	readonly offSince: ReadonlySet<string>;
}

/** What a run has come to. */
export interface RunState {
	/** Turns that are on each part. */
	readonly turns: ReadonlyMap<string, number>;
	readonly done: ReadonlySet<string>;
	/** Tools that are there. */
	readonly tools: ReadonlySet<string>;
	/** The newest depth read on each part, with the turns that were on it then. */
	readonly depths: ReadonlyMap<string, { readonly depthMm: number; readonly turns: number }>;
	/** Every depth that was read and not undone, in order. */
	readonly readings: readonly RunReading[];
	/** Parts whose count was lost, or weighed, until it is set by hand. */
	readonly lost: ReadonlyMap<string, Loss>;
	readonly remarks: readonly RemarkEvent[];
	readonly photos: readonly PhotoEvent[];
	readonly remedies: readonly RemedyEvent[];
	/** What is written on the coil that a part was tied into. */
	readonly coils: ReadonlyMap<string, string>;
	/** The newest of each. */
	readonly loopTest: LoopTestEvent | undefined;
	readonly tug: TugEvent['result'] | undefined;
	/** Counters that this run has been linked to, by their session. */
	readonly sessions: ReadonlySet<string>;
	/** What was noted and still counts, in order. */
	readonly log: readonly LogEntry[];
	/** What Undo would undo now; none when nothing is left. */
	readonly undoable: LogEntry | undefined;
}

/** A pause longer than this ends a burst of turns that a counter or a pace added, ms. */
const BURST_PAUSE_MS = 3000;

/** Whether an event goes on with the burst before it: turns of one source on one part, hardly a pause between. */
function continues(burst: LogEntry | undefined, event: RunEvent): boolean {
	const last = burst?.events.at(-1);
	if (!last || event.at - last.at > BURST_PAUSE_MS) return false;
	if (last.kind === 'counter' && event.kind === 'counter')
		return last.part === event.part && last.session === event.session;
	return (
		last.kind === 'turns' &&
		event.kind === 'turns' &&
		last.part === event.part &&
		last.by === 'pace' &&
		event.by === 'pace'
	);
}

/** A state while it is being folded. */
class Folding {
	readonly turns = new Map<string, number>();
	readonly done = new Set<string>();
	readonly tools = new Set<string>();
	readonly depths = new Map<string, { depthMm: number; turns: number }>();
	readonly readings: (RunReading & {
		takenAs: TakenAs | undefined;
		lost: Map<string, Loss>;
		offSince: Set<string>;
	})[] = [];
	readonly lost = new Map<string, Loss>();
	readonly remarks: RemarkEvent[] = [];
	readonly photos: PhotoEvent[] = [];
	readonly remedies: RemedyEvent[] = [];
	readonly coils = new Map<string, string>();
	loopTest: LoopTestEvent | undefined;
	tug: TugEvent['result'] | undefined;
	readonly log: (LogEntry & { events: RunEvent[]; turns: number })[] = [];

	#add(part: string, turns: number): void {
		this.turns.set(part, (this.turns.get(part) ?? 0) + turns);
	}

	/** Takes in one event; `delta` is what a counter's reading adds. */
	take(event: RunEvent, delta: number): void {
		switch (event.kind) {
			case 'turns':
				this.#add(event.part, event.turns);
				// Whoever sets a count knows it; a weight says it only about.
				if (event.by === 'set') this.lost.delete(event.part);
				else if (event.sigmaTurns !== undefined)
					this.lost.set(event.part, { id: event.id, sigmaTurns: event.sigmaTurns });
				break;
			case 'counter':
				this.#add(event.part, delta);
				break;
			case 'step':
			case 'tool':
				this.#tick(event);
				break;
			case 'remedy':
				this.remedies.push(event);
				this.#takeOff(event);
				break;
			case 'remark':
				this.remarks.push(event);
				break;
			case 'photo':
				this.photos.push(event);
				break;
			case 'undo':
				return;
			default:
				this.#find(event);
		}
		this.#note(event, event.kind === 'turns' ? event.turns : event.kind === 'counter' ? delta : 0);
	}

	/** What was measured, or found out on the way. */
	#find(event: DepthEvent | LostCountEvent | TakenAsEvent | CoilEvent | LoopTestEvent | TugEvent): void {
		switch (event.kind) {
			case 'depth':
				return this.#read(event);
			case 'lost-count':
				this.lost.set(event.part, { id: event.id });
				break;
			case 'taken-as':
				return this.#takeAs(event);
			case 'coil':
				this.coils.set(event.part, event.label);
				break;
			case 'loop-test':
				this.loopTest = event;
				break;
			case 'tug':
				this.tug = event.result;
				break;
		}
	}
	#takeAs({ of, as }: TakenAsEvent): void {
		const reading = this.readings.find(({ id }) => id === of);
		if (!reading) return;
		reading.takenAs = as;
		if (as !== 'lost-count' || reading.finished) return;
		// The loss is from before the reading, and holds for what is counted after it.
		const loss = { id: reading.id };
		reading.lost.set(reading.part, loss);
		this.lost.set(reading.part, loss);
	}
	#read({ id, at, part, depthMm, finished = false }: DepthEvent): void {
		this.depths.set(part, { depthMm, turns: this.turns.get(part) ?? 0 });
		this.readings.push({
			id,
			at,
			part,
			depthMm,
			finished,
			turns: new Map(this.turns),
			lost: new Map(this.lost),
			takenAs: undefined,
			offSince: new Set()
		});
	}
	#tick(event: StepEvent | ToolEvent): void {
		const [into, key, there] =
			event.kind === 'step' ? [this.done, event.step, event.done] : [this.tools, event.tool, event.here];
		if (there) into.add(key);
		else into.delete(key);
	}

	#takeOff({ reopens, off }: RemedyEvent): void {
		for (const step of reopens) this.done.delete(step);
		for (const part of off) {
			this.turns.delete(part);
			this.depths.delete(part);
			this.lost.delete(part);
			for (const reading of this.readings) reading.offSince.add(part);
		}
	}

	#note(event: Exclude<RunEvent, { kind: 'undo' }>, turns: number): void {
		const burst = this.log.at(-1);
		if (burst && continues(burst, event)) {
			burst.events.push(event);
			burst.turns += turns;
		} else this.log.push({ kind: event.kind, first: event, events: [event], turns });
	}
}

/**
 * What the events of a run come to. Their order and their repetition do not matter: the same set gives
 * the same state in every window, whenever each of them arrives.
 */
export function runState(events: readonly RunEvent[]): RunState {
	const byId = once(events);
	const deltas = counterDeltas(byId.values());
	const folding = new Folding();
	const sessions = new Set<string>();
	for (const event of counting(byId)) {
		if (event.kind === 'counter') sessions.add(event.session);
		folding.take(event, deltas.get(event.id) ?? 0);
	}
	const { log, ...rest } = folding;
	return { ...rest, sessions, log, undoable: log.at(-1) };
}

/** Events that take an entry back, newest first; each still needs its id and time. */
export const undoOf = (entry: LogEntry): { kind: 'undo'; of: string }[] =>
	entry.events.map(({ id }) => ({ kind: 'undo', of: id }) as const).reverse();
