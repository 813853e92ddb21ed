import type { StepKey } from '../procedure/steps';
import { inOrder, type CounterEvent, type DepthEvent, type RemarkEvent, type RunEvent } from './events';

/** What a run has come to. */
export interface RunState {
	/** Turns that are on each part. */
	readonly turns: ReadonlyMap<string, number>;
	readonly done: ReadonlySet<StepKey>;
	/** The newest depth read on each part, with the turns that were on it then. */
	readonly depths: ReadonlyMap<string, { readonly depthMm: number; readonly turns: number }>;
	readonly remarks: readonly RemarkEvent[];
	/** What an undo would take back now; none when nothing is left. */
	readonly undoable: RunEvent | undefined;
}

/** Each event once, whichever copy came. */
function once(events: readonly RunEvent[]): Map<string, RunEvent> {
	const byId = new Map<string, RunEvent>();
	for (const event of events) if (!byId.has(event.id)) byId.set(event.id, event);
	return byId;
}

/**
 * Events that count: one is out while an undo of it counts, and an undo of that undo brings it back. Undos
 * that point at each other, or at nothing, change nothing.
 */
function counting(byId: ReadonlyMap<string, RunEvent>): RunEvent[] {
	const undosOf = new Map<string, string[]>();
	for (const event of byId.values())
		if (event.kind === 'undo') undosOf.set(event.of, [...(undosOf.get(event.of) ?? []), event.id]);
	const known = new Map<string, boolean>();
	const counts = (id: string, above: ReadonlySet<string>): boolean => {
		const before = known.get(id);
		if (before !== undefined) return before;
		if (above.has(id)) return false;
		const out = (undosOf.get(id) ?? []).some((undo) => counts(undo, new Set([...above, id])));
		known.set(id, !out);
		return !out;
	};
	return inOrder([...byId.values()]).filter(({ id }) => counts(id, new Set()));
}

/** Turns of one counter on each part: differences of its totals, each given to the part it was read on. */
function counterTurns(readings: readonly CounterEvent[], add: (part: string, turns: number) => void): void {
	const bySession = new Map<string, CounterEvent[]>();
	for (const reading of readings)
		bySession.set(reading.session, [...(bySession.get(reading.session) ?? []), reading]);
	for (const session of bySession.values()) {
		let total = 0;
		for (const reading of session.sort((a, b) => a.seq - b.seq)) {
			add(reading.part, reading.total - total);
			total = reading.total;
		}
	}
}

function turnsOf(events: readonly RunEvent[]): Map<string, number> {
	const turns = new Map<string, number>();
	const add = (part: string, more: number): void => void turns.set(part, (turns.get(part) ?? 0) + more);
	for (const event of events) if (event.kind === 'turns') add(event.part, event.turns);
	counterTurns(
		events.filter((event) => event.kind === 'counter'),
		add
	);
	return turns;
}

/** Turns on a part when its depth was read: those of the events until then. */
const turnsAt = (events: readonly RunEvent[], reading: DepthEvent): number =>
	turnsOf(events.slice(0, events.indexOf(reading))).get(reading.part) ?? 0;

/**
 * What the events of a run come to. Their order and their repetition do not matter: the same set gives
 * the same state in every window, whenever each of them arrives.
 */
export function runState(events: readonly RunEvent[]): RunState {
	const live = counting(once(events));
	const done = new Set<StepKey>();
	const depths = new Map<string, { depthMm: number; turns: number }>();
	for (const event of live) {
		if (event.kind === 'step') {
			if (event.done) done.add(event.step);
			else done.delete(event.step);
		}
		if (event.kind === 'depth')
			depths.set(event.part, { depthMm: event.depthMm, turns: turnsAt(live, event) });
	}
	return {
		turns: turnsOf(live),
		done,
		depths,
		remarks: live.filter((event) => event.kind === 'remark'),
		undoable: live.findLast(({ kind }) => kind !== 'undo')
	};
}
