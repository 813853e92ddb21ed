import { addDays, dayNumber, daysBetween, type Day } from './days';
import type { CareJob, CareKind, CareState, Kept, KeptKind } from './events';

/** When something falls due: after so many days, after so many days out, or from so much twist on; whichever is first. */
export interface CareRule {
	readonly job: CareJob;
	readonly kinds: readonly KeptKind[];
	readonly everyDays?: number;
	readonly everyDaysOut?: number;
	/** Days out in salt water count for so many. */
	readonly saltCounts?: number;
	readonly fromTwistPerMetre?: number;
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
	respool: 'Respool it against twist',
	judge: 'Judge whether it is still good',
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

/** Common practice, to be edited by anyone. */
export const USUAL_RULES: readonly CareRule[] = [
	{ job: 'clean', kinds: ['line', 'head', 'tip'], everyDaysOut: 5, saltCounts: 2 },
	{ job: 'respool', kinds: ['line', 'head'], everyDays: 365, fromTwistPerMetre: 1.5 },
	{ job: 'judge', kinds: ['line', 'head', 'tip'], everyDays: 730, everyDaysOut: 100, saltCounts: 1.5 },
	{ job: 'tug-test', kinds: ['backing'], everyDays: 365 },
	{ job: 'rinse', kinds: ['backing'], everyDaysOut: 10, saltCounts: 10 }
];

export interface Due {
	readonly job: CareJob;
	/** The day by the calendar; none where only days out or twist count. */
	readonly on: Day | undefined;
	/** Days out that are left; below 0 when there were too many. */
	readonly daysOutLeft: number | undefined;
	readonly because: 'date' | 'days-out' | 'twist' | 'failed' | 'not yet';
	readonly overdue: boolean;
}

/** Days out since a thing was done, those in salt water counted more. */
function daysOutSince(state: CareState, by: readonly CareKind[], saltCounts: number): number {
	const from = state.events.findLastIndex(({ kind }) => by.includes(kind));
	return state.events
		.slice(from + 1)
		.reduce(
			(sum, event) =>
				sum + (event.kind === 'fished' ? event.days * (event.water === 'salt' ? saltCounts : 1) : 0),
			0
		);
}

function since(state: CareState, by: readonly CareKind[]): Day | undefined {
	return state.events.findLast(({ kind }) => by.includes(kind))?.day;
}

/** The gravest of the reasons that hold. */
function reasonOf(holds: Record<Exclude<Due['because'], 'not yet'>, boolean>): Due['because'] {
	for (const reason of ['failed', 'twist', 'days-out', 'date'] as const) if (holds[reason]) return reason;
	return 'not yet';
}

/** When a rule falls due for a thing, and whether that is past. Nothing for what it is not about, or what is retired. */
export function dueBy(rule: CareRule, kept: Kept, state: CareState, today: Day): Due | undefined {
	if (!rule.kinds.includes(kept.kind) || state.whereabouts?.on === 'retired') return undefined;
	const { job, everyDays, everyDaysOut, saltCounts = 1, fromTwistPerMetre } = rule;
	const done = DONE_BY[job];
	const last = since(state, done);
	const on = everyDays !== undefined && last !== undefined ? addDays(last, everyDays) : undefined;
	const daysOutLeft =
		everyDaysOut === undefined ? undefined : everyDaysOut - daysOutSince(state, done, saltCounts);
	const because = reasonOf({
		failed: job === 'tug-test' && state.tug !== undefined && state.tug !== 'passed',
		twist: fromTwistPerMetre !== undefined && Math.abs(state.twist.perMetre.mean) >= fromTwistPerMetre,
		'days-out': daysOutLeft !== undefined && daysOutLeft <= 0,
		date: on !== undefined && daysBetween(on, today) >= 0
	});
	return { job, on, daysOutLeft, because, overdue: because !== 'not yet' };
}

/** Everything that falls due for a thing, what is overdue first, then by its day. */
export function duesOf(rules: readonly CareRule[], kept: Kept, state: CareState, today: Day): Due[] {
	const order = ({ overdue, on }: Due): number =>
		overdue ? -Infinity : on === undefined ? Infinity : dayNumber(on);
	return rules
		.flatMap((rule) => dueBy(rule, kept, state, today) ?? [])
		.sort((a, b) => (order(a) === order(b) ? 0 : order(a) - order(b)));
}

/**
 * The days a job falls on by the calendar until a day, each time done on its day: never one left out, never one twice.
 *
 * @throws RangeError for a rule that is not by the calendar
 */
export function datesUntil(rule: CareRule, last: Day, until: Day): Day[] {
	const every = rule.everyDays;
	if (!(every !== undefined && every >= 1)) throw new RangeError(`${rule.job} is not due by the calendar`);
	const [from, to] = [dayNumber(last), dayNumber(until)];
	return Array.from({ length: Math.max(0, Math.floor((to - from) / every)) }, (_, i) =>
		addDays(last, every * (i + 1))
	);
}
