import type { RunEvent } from '$lib/core';
import { RunEventShape, type RunEvents } from '$lib/bench/run';
import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';
import { json, jsonText, readRow, readRows } from './columns';

const Row = z.object({ arrival: z.number().int(), run_id: z.string(), event: json(RunEventShape) });
const EVENT_COLUMNS = ['arrival', 'run_id', 'event'];

/** Events that read; one that does not is noted, under the number it arrived with. */
const readEvents = (db: Knex, rows: readonly unknown[]): z.output<typeof Row>[] =>
	readRows(db, 'run_events', Row, rows, 'arrival');
const RunRow = z
	.object({
		id: z.string(),
		setup_id: z.string(),
		created_at: z.string(),
		job: z.string(),
		ended_at: z.string().nullable(),
		record_id: z.string().nullable()
	})
	.transform(({ setup_id, created_at, ended_at, record_id, ...run }) => ({
		...run,
		setupId: setup_id,
		createdAt: created_at,
		endedAt: ended_at,
		recordId: record_id
	}));
export type RunRow = z.output<typeof RunRow>;

const COLUMNS = ['id', 'setup_id', 'created_at', 'job', 'ended_at', 'record_id'];

/** Jobs that end with a record of what was wound. */
export const WINDINGS: readonly string[] = ['wind', 'swap'];

/** Starts a run; a run that was started already stays as it is. */
export async function insertRun(
	trx: Writing,
	run: { id: string; setupId: string; job: string },
	now: string
): Promise<void> {
	await trx('runs')
		.insert({ id: run.id, setup_id: run.setupId, job: run.job, created_at: now })
		.onConflict('id')
		.ignore();
}

/** Ends a run by itself, without a record. False when it has ended before. */
export const markEnded = async (trx: Writing, id: string, at: string): Promise<boolean> =>
	(await trx('runs').where({ id }).whereNull('ended_at').update({ ended_at: at })) > 0;

/** A record ends every winding of its set-up that is begun, in whichever window that was. */
export async function endWindings(
	trx: Writing,
	record: { id: string; setupId: string },
	at: string
): Promise<void> {
	await trx('runs')
		.where({ setup_id: record.setupId })
		.whereIn('job', [...WINDINGS])
		.whereNull('ended_at')
		.update({ ended_at: at, record_id: record.id });
}

/** The run that a record ended goes on where that record is undone, and is over again with it. */
export async function markEndedBy(trx: Writing, recordId: string, at: string | null): Promise<void> {
	await trx('runs').where({ record_id: recordId }).update({ ended_at: at });
}

export const findRun = async (db: Knex, id: string): Promise<RunRow | undefined> =>
	readRow(db, 'runs', RunRow, await db('runs').where({ id }).first(COLUMNS));

/** Runs of a set-up, newest first. */
export const listRuns = async (db: Knex, setupId: string): Promise<RunRow[]> =>
	readRows(
		db,
		'runs',
		RunRow,
		await db('runs')
			.where({ setup_id: setupId })
			.select(COLUMNS)
			.orderBy('created_at', 'desc')
			.orderBy('rowid', 'desc')
	);

/** The newest run of every set-up and job that has not ended. */
export async function openRuns(db: Knex): Promise<RunRow[]> {
	const rows = readRows(
		db,
		'runs',
		RunRow,
		await db('runs').select(COLUMNS).whereNull('ended_at').orderBy('created_at').orderBy('rowid')
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
	const rows = readEvents(
		db,
		await db('run_events')
			.whereIn('run_id', [...runIds])
			// What is no JSON is told from the rest before it is looked into.
			.whereRaw(
				`case when json_valid(event) then json_extract(event, '$.kind') not in ('turns', 'counter') else 1 end`
			)
			.select(EVENT_COLUMNS)
			.orderBy('arrival')
	);
	const byRun = new Map<string, RunEvent[]>();
	for (const { run_id, event } of rows) byRun.set(run_id, [...(byRun.get(run_id) ?? []), event]);
	return byRun;
}

/** Appends events; one that is there already is not written again. */
export async function appendEvents(trx: Writing, runId: string, events: readonly RunEvent[]): Promise<void> {
	await trx('run_events')
		.insert(
			events.map((event) => ({
				run_id: runId,
				id: event.id,
				event: jsonText(RunEventShape, event, 'events')
			}))
		)
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
	const found = await db('run_events')
		.where({ run_id: runId })
		.where('arrival', '>', after)
		.select(EVENT_COLUMNS)
		.orderBy('arrival');
	const last = (found.at(-1) as { arrival: number } | undefined)?.arrival;
	return { events: readEvents(db, found).map(({ event }) => event), arrival: last ?? after };
}
