import { inOrder, type CounterEvent, type RunEvent } from './events';

/** Each event once, whichever copy came. */
export function once(events: readonly RunEvent[]): Map<string, RunEvent> {
	const byId = new Map<string, RunEvent>();
	for (const event of events) if (!byId.has(event.id)) byId.set(event.id, event);
	return byId;
}

/**
 * Events that count, in order: one is out while an undo of it counts, and an undo of that undo brings it
 * back. Undos that point at each other, or at nothing, change nothing.
 */
export function counting(byId: ReadonlyMap<string, RunEvent>): RunEvent[] {
	const undosOf = new Map<string, string[]>();
	for (const event of byId.values())
		if (event.kind === 'undo') {
			const undos = undosOf.get(event.of);
			if (undos) undos.push(event.id);
			else undosOf.set(event.of, [event.id]);
		}
	const ordered = inOrder([...byId.values()]);
	if (undosOf.size === 0) return ordered;
	const known = new Map<string, boolean>();
	const counts = (id: string, above: ReadonlySet<string>): boolean => {
		const undos = undosOf.get(id);
		if (!undos) return true;
		const before = known.get(id);
		if (before !== undefined) return before;
		if (above.has(id)) return false;
		const out = undos.some((undo) => counts(undo, new Set([...above, id])));
		known.set(id, !out);
		return !out;
	};
	return ordered.filter(({ id }) => counts(id, new Set()));
}

const bySeq = (a: CounterEvent, b: CounterEvent): number => a.seq - b.seq || (a.id < b.id ? -1 : 1);

/**
 * Turns that each reading of a counter adds: the difference of its total to the one before it in its own
 * session, whenever either arrived. The first counts from the counter's own zero, unless it is a base;
 * of two windows that linked it, the earlier base is the one. What is undone is left out later, by the reader of
 * these: the readings after it keep what they added.
 */
export function counterDeltas(events: Iterable<RunEvent>): Map<string, number> {
	const bySession = new Map<string, CounterEvent[]>();
	for (const event of events) {
		if (event.kind !== 'counter') continue;
		const session = bySession.get(event.session);
		if (session) session.push(event);
		else bySession.set(event.session, [event]);
	}
	const deltas = new Map<string, number>();
	for (const session of bySession.values()) {
		session.sort(bySeq);
		const first = session[0]!;
		let total = session.some(({ base, seq }) => base && seq === first.seq) ? first.total : 0;
		for (const reading of session) {
			deltas.set(reading.id, reading.total - total);
			total = reading.total;
		}
	}
	return deltas;
}
