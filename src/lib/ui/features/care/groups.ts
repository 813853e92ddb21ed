import { JOB_NAMES, type CareJob } from '$lib/core';
import type { CareRow } from '$lib/inventory/care-rows';

/** The strands of one reel, or those that are on no reel, under one heading. */
export interface CareGroup<R> {
	readonly id: string;
	readonly heading: string;
	/** The reel's spool; none for what is on coils, or retired. */
	readonly spoolId: string | undefined;
	readonly rows: readonly R[];
}

const keyOf = ({ spoolId, retired }: CareRow): string => spoolId ?? (retired ? 'retired' : 'coils');
const HEADINGS: Readonly<Record<string, string>> = { coils: 'On coils', retired: 'Retired' };

/** Rows by where they are, in the order in which each place comes first. */
export function byReel<R extends { readonly row: CareRow }>(rows: readonly R[]): CareGroup<R>[] {
	const keys = [...new Set(rows.map(({ row }) => keyOf(row)))];
	return keys.map((id) => {
		const own = rows.filter(({ row }) => keyOf(row) === id);
		const { spoolId, where } = own[0]!.row;
		return { id, heading: HEADINGS[id] ?? where, spoolId: spoolId ?? undefined, rows: own };
	});
}

/** A job that is due for several strands, and can be written down for all of them at once. */
export interface SharedJob {
	readonly job: CareJob;
	readonly name: string;
	readonly keptIds: readonly string[];
}

/** Jobs that are judged strand by strand: what one of them comes to says nothing of another. */
const ONE_BY_ONE: ReadonlySet<CareJob> = new Set(['tug-test', 'judge']);

export function sharedJobs(rows: readonly CareRow[]): SharedJob[] {
	const jobs = [...new Set(rows.flatMap(({ dues }) => dues.map(({ job }) => job)))];
	return jobs.flatMap((job) => {
		const due = rows.filter(({ dues }) => dues.some((one) => one.job === job && one.overdue));
		return due.length < 2 || ONE_BY_ONE.has(job)
			? []
			: [{ job, name: JOB_NAMES[job], keptIds: due.map(({ kept }) => kept.id) }];
	});
}
