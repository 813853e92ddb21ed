import type { RunEvent } from '$lib/core';
import { RunEventShape, type RunEvents } from '$lib/schema/run';
import type { Knex } from 'knex';
import { z } from 'zod';
import { json } from './columns';

const Row = z.object({ arrival: z.number().int(), event: json(RunEventShape) });
const RunRow = z
	.object({
		id: z.string(),
		setup_id: z.string(),
		created_at: z.string(),
		job: z.string(),
		ended_at: z.string().nullable()
	})
	.transform(({ setup_id, created_at, ended_at, ...run }) => ({
		...run,
		setupId: setup_id,
		createdAt: created_at,
		endedAt: ended_at
	}));
export type RunRow = z.output<typeof RunRow>;

const COLUMNS = ['id', 'setup_id', 'created_at', 'job', 'ended_at'];

/** Jobs that end with a record of what was wound. */
export const WINDINGS: readonly string[] = ['wind', 'swap'];

/** Starts a run; a run that was started already stays as it is. */
export async function insertRun(
	db: Knex,
	run: { id: string; setupId: string; job: string },
	now: string
): Promise<void> {
	await db('runs')
		.insert({ id: run.id, setup_id: run.setupId, job: run.job, created_at: now })
		.onConflict('id')
		.ignore();
}

/** Ends a run by itself, without a record. */
export const markEnded = async (db: Knex, id: string, at: string): Promise<boolean> =>
	(await db('runs').where({ id }).whereNull('ended_at').update({ ended_at: at })) > 0;

export const findRun = async (db: Knex, id: string): Promise<RunRow | undefined> =>
	RunRow.optional().parse(await db('runs').where({ id }).first(COLUMNS));

/** Runs of a set-up, newest first. */
export const listRuns = async (db: Knex, setupId: string): Promise<RunRow[]> =>
	z
		.array(RunRow)
		.parse(await db('runs').where({ setup_id: setupId }).select(COLUMNS).orderBy('created_at', 'desc'));

/** The newest run of every set-up and job that nothing has ended: for a winding, a record of that set-up after it. */
export async function openRuns(db: Knex): Promise<RunRow[]> {
	const rows = z
		.array(RunRow)
		.parse(
			await db('runs')
				.select(COLUMNS)
				.whereNull('ended_at')
				.whereNotExists(
					db('records')
						.whereIn('runs.job', WINDINGS)
						.whereNull('taken_back_at')
						.whereRaw('records.setup_id = runs.setup_id and records.created_at >= runs.created_at')
				)
				.orderBy('created_at')
		);
	return [...new Map(rows.map((row) => [`${row.setupId}/${row.job}`, row])).values()];
}

/** Ids of runs that ended in a record or not, the newest first. */
export async function newestRunIds(db: Knex, limit: number): Promise<string[]> {
	const rows = await db('runs').select('id').orderBy('created_at', 'desc').limit(limit);
	return z
		.array(z.object({ id: z.string() }))
		.parse(rows)
		.map(({ id }) => id);
}

/** Events of these runs that are not turns: few, however long the count. */
export async function eventsBesideTurns(
	db: Knex,
	runIds: readonly string[]
): Promise<Map<string, RunEvent[]>> {
	const rows = z.array(z.object({ run_id: z.string(), event: json(RunEventShape) })).parse(
		await db('run_events')
			.whereIn('run_id', [...runIds])
			.whereRaw(`json_extract(event, '$.kind') not in ('turns', 'counter')`)
			.select('run_id', 'event')
			.orderBy('arrival')
	);
	const byRun = new Map<string, RunEvent[]>();
	for (const { run_id, event } of rows) byRun.set(run_id, [...(byRun.get(run_id) ?? []), event]);
	return byRun;
}

/** Appends events; one that is there already is not written again. */
export async function appendEvents(db: Knex, runId: string, events: readonly RunEvent[]): Promise<void> {
	await db('run_events')
		.insert(events.map((event) => ({ run_id: runId, id: event.id, event: JSON.stringify(event) })))
		.onConflict(['run_id', 'id'])
		.ignore();
}

/** Number of the newest arrival of a run; 0 when there is none. */
export async function lastArrival(db: Knex, runId: string): Promise<number> {
	const row = z
		.object({ last: z.number().int().nullable() })
		.parse(await db('run_events').where({ run_id: runId }).max({ last: 'arrival' }).first());
	return row.last ?? 0;
}

/** What arrived after `after`, in the order it came. */
export async function eventsAfter(db: Knex, runId: string, after: number): Promise<RunEvents> {
	const rows = z
		.array(Row)
		.parse(
			await db('run_events')
				.where({ run_id: runId })
				.where('arrival', '>', after)
				.select('arrival', 'event')
				.orderBy('arrival')
		);
	return { events: rows.map(({ event }) => event), arrival: rows.at(-1)?.arrival ?? after };
}
