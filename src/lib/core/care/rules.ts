import { dayNumber, type Day } from './days';
import { paceOf, type Pace } from './pace';
import type { CareJob, CareKind, CareState, Strand, StrandKind } from './events';

/** When something falls due, whichever of what is said here is first. */
export interface CareRule {
	readonly job: CareJob;
	readonly kinds: readonly StrandKind[];
	readonly everyDays?: number;
	readonly everyDaysOut?: number;
	/** Days out in salt water count for so many, and those in fresh. */
	readonly saltCounts?: number;
	readonly freshCounts?: number;
	readonly fromTwistPerMetre?: number;
	/** What is fished seldom has so many times as long by the calendar; what is fished a lot, as many times less. */
	readonly paceCounts?: number;
	/** At every change of the line over it. */
	readonly atLineChange?: boolean;
	/** When it got wetted and dried so many times. */
	readonly everyWettings?: number;
}

/** What a rule's clock starts from: the last of these that happened. */
const DONE_BY: Record<CareJob, readonly CareKind[]> = {
	clean: ['came', 'cleaned'],
	respool: ['came', 'respooled', 'let-out'],
	judge: ['came'],
	'tug-test': ['came', 'tug-test'],
	rinse: ['came', 'rinsed', 'cleaned']
};
export const JOB_NAMES: Record<CareJob, string> = {
	clean: 'Clean it',
	respool: 'Take the twist out',
	judge: 'Check whether it is still good',
	'tug-test': 'Tug-test it',
	rinse: 'Rinse it after salt'
};
/** How long each takes, minutes. Assumptions. */
export const JOB_MINUTES: Record<CareJob, number> = {
	clean: 10,
	respool: 20,
	judge: 5,
	'tug-test': 5,
	rinse: 5
};

const LINES = ['running-line', 'line', 'head', 'tip'] as const;
/** Common practice, to be edited by anyone; how much the pace counts, and how often backing may get wet, are assumptions. */
export const USUAL_RULES: readonly CareRule[] = [
	{ job: 'clean', kinds: LINES, everyDaysOut: 5, saltCounts: 2 },
	{
		job: 'respool',
		kinds: ['running-line', 'line', 'head'],
		everyDays: 365,
		paceCounts: 1.5,
		fromTwistPerMetre: 1.5
	},
	{ job: 'judge', kinds: LINES, everyDays: 730, paceCounts: 1.5, everyDaysOut: 100, saltCounts: 1.5 },
	{ job: 'tug-test', kinds: ['backing'], everyDays: 365, atLineChange: true, everyWettings: 20 },
	{ job: 'rinse', kinds: ['backing'], everyDaysOut: 1, freshCounts: 0 }
];

export interface Due {
	readonly job: CareJob;
	/** The day by the calendar; none where only days out or twist count. */
	readonly on: Day | undefined;
	/** Days out that are left; below 0 when there were too many. */
	readonly daysOutLeft: number | undefined;
	/** The day it is expected by: by the calendar, or by how often it goes out, whichever is first. */
	readonly expectedOn: Day | undefined;
	readonly because: 'date' | 'days-out' | 'twist' | 'failed' | 'line-change' | 'wet' | 'not yet';
	readonly overdue: boolean;
}

/** What happened since a thing was done: days out, each water counted as it is; wettings; a change of line. */
function sinceDone(
	{ events }: CareState,
	by: readonly CareKind[],
	counts: { readonly salt: number; readonly fresh: number }
): { last: Day | undefined; daysOut: number; wettings: number; lineChanged: boolean } {
	const from = events.findLastIndex(({ kind }) => by.includes(kind));
	const since = { last: events[from]?.day, daysOut: 0, wettings: 0, lineChanged: false };
	for (let i = from + 1; i < events.length; i++) {
		const event = events[i]!;
		if (event.kind === 'fished') since.daysOut += event.days * counts[event.water];
		else if (event.kind === 'wetted') since.wettings += event.times;
		else if (event.kind === 'line-changed') since.lineChanged = true;
	}
	return since;
}

/** The gravest of the reasons that hold. */
function reasonOf(holds: Record<Exclude<Due['because'], 'not yet'>, boolean>): Due['because'] {
	for (const reason of ['failed', 'twist', 'line-change', 'wet', 'days-out', 'date'] as const)
		if (holds[reason]) return reason;
	return 'not yet';
}

/** Days by the calendar at a pace. */
const daysAt = (everyDays: number, pace: Pace, counts: number): number =>
	Math.round(pace === 'seldom' ? everyDays * counts : pace === 'often' ? everyDays / counts : everyDays);

/** When so many days out will have passed, at so many a year. */
const reachedOn = (daysOutLeft: number, perYear: number, today: Day): Day | undefined =>
	perYear > 0 ? today.add({ days: Math.max(0, Math.ceil((365 * daysOutLeft) / perYear)) }) : undefined;

const earlier = (a: Day | undefined, b: Day | undefined): Day | undefined =>
	a === undefined || (b !== undefined && b.compare(a) < 0) ? b : a;

/** The day by the calendar, at the pace things go out. */
function dateOf({ everyDays, paceCounts = 1 }: CareRule, last: Day | undefined, pace: Pace): Day | undefined {
	return everyDays === undefined || last === undefined
		? undefined
		: last.add({ days: daysAt(everyDays, pace, paceCounts) });
}

/** At least so much, where both are said. */
const reaches = (value: number, limit: number | undefined): boolean => limit !== undefined && value >= limit;

/** When a rule falls due for a thing, and whether that is past. Nothing for what it is not about, or what is retired. */
export function dueBy(rule: CareRule, kept: Strand, state: CareState, today: Day): Due | undefined {
	if (!rule.kinds.includes(kept.kind) || state.whereabouts?.on === 'retired') return undefined;
	const { job, everyDaysOut, saltCounts = 1, freshCounts = 1 } = rule;
	const counts = { salt: saltCounts, fresh: freshCounts };
	const { last, daysOut, wettings, lineChanged } = sinceDone(state, DONE_BY[job], counts);
	const { pace, perYear } = paceOf(state, today);
	const on = dateOf(rule, last, pace);
	const daysOutLeft = everyDaysOut === undefined ? undefined : everyDaysOut - daysOut;
	const because = reasonOf({
		failed: job === 'tug-test' && state.tug !== undefined && state.tug !== 'passed',
		twist: reaches(Math.abs(state.twist.perMetre.mean), rule.fromTwistPerMetre),
		'line-change': rule.atLineChange === true && lineChanged,
		wet: reaches(wettings, rule.everyWettings),
		'days-out': reaches(daysOut, everyDaysOut),
		date: on !== undefined && today.compare(on) >= 0
	});
	// What is to come is foreseen as the last year was; what only salt asks for follows it, and is not foreseen.
	const counted = freshCounts === 0 ? 0 : perYear.fresh * freshCounts + perYear.salt * saltCounts;
	const reached = daysOutLeft === undefined ? undefined : reachedOn(daysOutLeft, counted, today);
	const expectedOn = earlier(on, reached);
	return { job, on, daysOutLeft, expectedOn, because, overdue: because !== 'not yet' };
}

/** Everything that falls due for a thing, what is overdue first, then by its day; where several rules ask for one job, the first. */
export function duesOf(rules: readonly CareRule[], kept: Strand, state: CareState, today: Day): Due[] {
	const order = ({ overdue, expectedOn }: Due): number =>
		overdue ? -Infinity : expectedOn === undefined ? Infinity : dayNumber(expectedOn);
	const all = rules
		.flatMap((rule) => dueBy(rule, kept, state, today) ?? [])
		.sort((a, b) => (order(a) === order(b) ? 0 : order(a) - order(b)));
	return all.filter(({ job }, i) => all.findIndex((due) => due.job === job) === i);
}
