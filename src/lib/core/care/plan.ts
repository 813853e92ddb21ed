import { isWeekday } from '@internationalized/date';
import { type Day } from './days';
import type { CareJob } from './events';
import { JOB_MINUTES, type Due } from './rules';

/** A thing with what falls due for it. */
export interface PlannedThing {
	readonly id: string;
	/** Things that are at one place are done together. */
	readonly place: string;
	readonly dues: readonly Due[];
}

/** Something to do before a day. */
export interface PlanItem {
	readonly thing: string;
	readonly place: string;
	readonly job: CareJob;
	readonly minutes: number;
	readonly overdue: boolean;
	readonly expectedOn: Day | undefined;
}

/** A sitting: what is done in it, and how long that takes. */
export interface Sitting {
	readonly day: Day;
	readonly items: readonly PlanItem[];
	readonly minutes: number;
}

/** Everything that is overdue, or will be before a day: by the calendar, or at the pace things go out. */
export function dueBefore(things: readonly PlannedThing[], before: Day): PlanItem[] {
	return things.flatMap(({ id, place, dues }) =>
		dues
			.filter(
				({ overdue, expectedOn }) => overdue || (expectedOn !== undefined && expectedOn.compare(before) <= 0)
			)
			.map(({ job, overdue, expectedOn }) => ({
				thing: id,
				place,
				job,
				minutes: JOB_MINUTES[job],
				overdue,
				expectedOn
			}))
	);
}

/** Monday to Friday of the seven days from a day on. */
export const workingDays = (from: Day): Day[] =>
	Array.from({ length: 7 }, (_, i) => from.add({ days: i })).filter((day) => isWeekday(day, 'en-GB'));

const gravity = (items: readonly PlanItem[]): number => items.filter(({ overdue }) => overdue).length;

/**
 * Items over sittings of so many minutes: what is at one place stays together where it fits into a sitting, what is most
 * overdue comes first, and a place goes to the first sitting that has room for it. Nothing is left out: what has
 * no room anywhere is `over`.
 *
 * @throws RangeError for sittings without time
 */
export function spread(
	items: readonly PlanItem[],
	days: readonly Day[],
	minutesEach: number
): { sittings: Sitting[]; over: PlanItem[] } {
	if (!(minutesEach > 0)) throw new RangeError(`a sitting has some minutes, got ${minutesEach}`);
	const byPlace = new Map<string, PlanItem[]>();
	for (const item of items) byPlace.set(item.place, [...(byPlace.get(item.place) ?? []), item]);
	const places = [...byPlace.values()].sort((a, b) => gravity(b) - gravity(a));
	const sittings = days.map((day) => ({ day, items: [] as PlanItem[], minutes: 0 }));
	const over: PlanItem[] = [];
	const total = (group: readonly PlanItem[]): number => group.reduce((sum, { minutes }) => sum + minutes, 0);
	/** Puts a group where it fits whole; one that fits nowhere is put item by item. */
	const put = (group: readonly PlanItem[]): void => {
		const room = sittings.find(({ minutes }) => minutes + total(group) <= minutesEach);
		if (room) {
			room.items.push(...group);
			room.minutes += total(group);
		} else if (group.length > 1) for (const item of group) put([item]);
		else over.push(...group);
	};
	for (const group of places) put(group);
	return { sittings: sittings.filter((sitting) => sitting.items.length > 0), over };
}
