/** How many backups stay: everything of the last day, then the newest of so many days, weeks and months that have one. */
const DAYS = 7;
const WEEKS = 4;
const MONTHS = 12;
const DAY_MS = 86_400_000;
/** The first Monday that is counted from: 5 January 1970. */
const MONDAY_MS = 4 * DAY_MS;

const dayOf = (at: Date): string => at.toISOString().slice(0, 10);
const weekOf = (at: Date): string => String(Math.floor((at.getTime() - MONDAY_MS) / (7 * DAY_MS)));
const monthOf = (at: Date): string => at.toISOString().slice(0, 7);

/** The newest of each of the latest periods that have one. */
function newestOfEach(newestFirst: readonly Date[], periodOf: (at: Date) => string, most: number): Date[] {
	const found = new Map<string, Date>();
	for (const at of newestFirst) if (!found.has(periodOf(at))) found.set(periodOf(at), at);
	return [...found.values()].slice(0, most);
}

/** Which backups stay, by when they were made; days, weeks and months are those of UTC. The rest may go. */
export function staying(madeAt: readonly Date[], now: Date): Set<Date> {
	const newestFirst = madeAt.toSorted((a, b) => b.getTime() - a.getTime());
	return new Set([
		...newestFirst.filter((at) => now.getTime() - at.getTime() < DAY_MS),
		...newestOfEach(newestFirst, dayOf, DAYS),
		...newestOfEach(newestFirst, weekOf, WEEKS),
		...newestOfEach(newestFirst, monthOf, MONTHS)
	]);
}
