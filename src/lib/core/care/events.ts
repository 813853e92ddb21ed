import { NO_TURNS, times, type Turns } from '../twist/belief';
import { learnGrowth, loopTest, twistAlong, type TwistEntry, type TwistNow } from '../twist/ledger';
import type { Day } from './days';

/** What can be looked after: one of the strands that go on a spool. */
export const STRAND_KINDS = ['backing', 'running-line', 'line', 'head', 'tip'] as const;
export type StrandKind = (typeof STRAND_KINDS)[number];

export interface Strand {
	readonly id: string;
	readonly kind: StrandKind;
	readonly label: string;
	readonly lengthMm: number;
	/** The same from both ends: it can be turned round. */
	readonly doubleTaper: boolean;
}

/** Where something is. */
export type Whereabouts =
	| { readonly on: 'spool'; readonly spoolId: string }
	/** A coil or a storage spool, with what is written on it. */
	| { readonly on: 'coil'; readonly label: string }
	| { readonly on: 'retired' };

interface Happened {
	readonly id: string;
	readonly day: Day;
	/** When it was written down, ms: of two on one day the one written later comes later. */
	readonly at: number;
	readonly note?: string;
}
/** What happens to a thing in its life. Nothing is changed or deleted: a correction is an event of its own. */
export type CareEvent = Happened &
	(
		| { readonly kind: 'came' }
		| {
				readonly kind: 'moved';
				readonly to: Whereabouts;
				/** What the way there put into it. */
				readonly turns?: Turns;
				/** On a spool: the gap that was foreseen, and the one that was measured, mm. */
				readonly plannedGapMm?: number;
				readonly gapMm?: number;
		  }
		/** Something else lies over it now, or nothing. */
		| { readonly kind: 'line-changed' }
		/** Backing that got wetted and dried, so many times. */
		| { readonly kind: 'wetted'; readonly times: number }
		| { readonly kind: 'cleaned' | 'dressed' | 'rinsed' | 'turned' | 'loop-rebuilt' }
		| { readonly kind: 'loop-test'; readonly bightMm: number; readonly spins: number }
		| { readonly kind: 'tug-test'; readonly result: 'passed' | 'doubtful' | 'failed' }
		| { readonly kind: 'let-out'; readonly share: number; readonly shareSd: number }
		| { readonly kind: 'shortened'; readonly byMm: number }
		| { readonly kind: 'respooled'; readonly turns?: Turns }
		| { readonly kind: 'fished'; readonly days: number; readonly water: 'fresh' | 'salt' }
		/** Undoes one; undone itself, that one counts again. */
		| { readonly kind: 'undone'; readonly of: string }
	);
export type CareKind = CareEvent['kind'];
/** What is done to a thing, and can fall due. */
export type CareJob = 'clean' | 'respool' | 'judge' | 'tug-test' | 'rinse';

export interface CareState {
	readonly whereabouts: Whereabouts | undefined;
	readonly lengthMm: number;
	/** Days out in all, and in salt water. */
	readonly daysOut: number;
	readonly saltDays: number;
	/** When each kind of thing last happened, and how many days out there were since. */
	readonly last: Partial<Record<CareKind, { readonly day: Day; readonly daysOutSince: number }>>;
	readonly tug: 'passed' | 'doubtful' | 'failed' | undefined;
	readonly twist: TwistNow;
	/** Turns a metre after each of the events; what comes before the first is not known. */
	readonly twistAfter: readonly Turns[];
	/** What a day out adds, turns a metre: learnt from loop tests with days out between them, else as usual. */
	readonly growth: Turns;
	/** The gap that was last measured over it, mm. */
	readonly gapMm: number | undefined;
	/** What counts, oldest first: what was undone is left out. */
	readonly events: readonly CareEvent[];
}

/** What counts: each event that is not undone, in the order it happened. */
export function counting(events: readonly CareEvent[]): CareEvent[] {
	const seen = new Map(events.map((event) => [event.id, event]));
	// An undoing counts unless it is undone itself; they are looked at from the newest.
	const undone = new Set<string>();
	const undoings = [...seen.values()].filter((event) => event.kind === 'undone');
	for (const event of undoings.sort((a, b) => b.at - a.at)) if (!undone.has(event.id)) undone.add(event.of);
	return [...seen.values()]
		.filter((event) => event.kind !== 'undone' && !undone.has(event.id))
		.sort((a, b) => a.day.compare(b.day) || a.at - b.at);
}

/** How much a transfer of which nobody said how may have twisted a line, turns a metre, 1σ. An assumption. */
const UNSAID_PER_METRE = 0.5;

function twistEntry(event: CareEvent, metres: number): TwistEntry {
	switch (event.kind) {
		case 'came':
			return { kind: 'new' };
		case 'moved':
		case 'respooled':
			return { kind: 'transfer', turns: event.turns ?? { mean: 0, sd: UNSAID_PER_METRE * metres } };
		case 'fished':
			return { kind: 'fished', days: event.days };
		case 'let-out':
			return { kind: 'let-out', share: event.share, shareSd: event.shareSd };
		case 'loop-test':
			return { kind: 'loop-test', perMetre: loopTest(event.bightMm, event.spins) };
		default:
			return { kind: 'nothing' };
	}
}

/** A thing as its events leave it, whatever order they came in, and however often. */
export function careState({ lengthMm }: Strand, all: readonly CareEvent[]): CareState {
	const events = counting(all);
	const last: Partial<Record<CareKind, { day: Day; daysOutSince: number }>> = {};
	let [daysOut, saltDays, cutMm] = [0, 0, 0];
	let whereabouts: Whereabouts | undefined;
	let tug: CareState['tug'];
	let gapMm: number | undefined;
	for (const event of events) {
		if (event.kind === 'fished') {
			daysOut += event.days;
			if (event.water === 'salt') saltDays += event.days;
			for (const entry of Object.values(last)) entry.daysOutSince += event.days;
		}
		if (event.kind === 'moved') {
			whereabouts = event.to;
			gapMm = event.gapMm;
		}
		if (event.kind === 'tug-test') tug = event.result;
		if (event.kind === 'shortened') cutMm += event.byMm;
		last[event.kind] = { day: event.day, daysOutSince: 0 };
	}
	const left = Math.max(lengthMm - cutMm, 1);
	const entries = events.map((event) => twistEntry(event, left / 1000));
	const growth = learnGrowth(entries);
	const twistAfter = twistAlong(entries, left, growth);
	const perMetre = twistAfter.at(-1) ?? NO_TURNS;
	return {
		whereabouts,
		lengthMm: left,
		daysOut,
		saltDays,
		last,
		tug,
		twist: { perMetre, turns: times(perMetre, left / 1000) },
		twistAfter,
		growth,
		gapMm,
		events
	};
}
