import { REVERSE_WAY_KEYS, type RunEvent } from '$lib/core';
import { RunEventShape, type RunEvents } from '$lib/bench/run';
import { jobText } from '$lib/bench/work';
import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';
import { json, jsonText, readRow, readRows } from './columns';

const Row = z.object({ arrival: z.number().int(), runId: z.string(), event: json(RunEventShape) });
const EVENT_COLUMNS = ['arrival', 'runId', 'event'];

/** Events that read; one that does not is noted, under the number it arrived with. */
const readEvents = (db: Knex, rows: readonly unknown[]): z.output<typeof Row>[] =>
	readRows(db, 'run_events', Row, rows, 'arrival');
const RunRow = z.object({
	id: z.string(),
	setupId: z.string(),
	createdAt: z.string(),
	job: z.string(),
	endedAt: z.string().nullable(),
	recordId: z.string().nullable()
});
export type RunRow = z.output<typeof RunRow>;

const COLUMNS = ['id', 'setupId', 'createdAt', 'job', 'endedAt', 'recordId'];

/** Jobs that end with a record of what was wound. */
export const WINDINGS: readonly string[] = [
	'wind',
	'swap',
	...REVERSE_WAY_KEYS.map((way) => jobText({ kind: 'reverse', way }))
];

/** Starts a run; a run that was started already stays as it is. */
export async function insertRun(
	trx: Writing,
	run: { id: string; setupId: string; job: string },
	now: string
): Promise<void> {
	await trx('runs')
		.insert({ ...run, createdAt: now })
		.onConflict('id')
		.ignore();
}

/** Ends a run by itself, without a record. False when it has ended before. */
export const markEnded = async (trx: Writing, id: string, at: string): Promise<boolean> =>
	(await trx('runs').where({ id }).whereNull('endedAt').update({ endedAt: at })) > 0;

/** A record ends every winding of its set-up that is begun, in whichever window that was. */
export async function endWindings(
	trx: Writing,
	record: { id: string; setupId: string },
	at: string
): Promise<void> {
	await trx('runs')
		.where({ setupId: record.setupId })
		.whereIn('job', [...WINDINGS])
		.whereNull('endedAt')
		.update({ endedAt: at, recordId: record.id });
}

/** The run that a record ended goes on where that record is undone, and is over again with it. */
export async function markEndedBy(trx: Writing, recordId: string, at: string | null): Promise<void> {
	await trx('runs').where({ recordId }).update({ endedAt: at });
}

export const findRun = async (db: Knex, id: string): Promise<RunRow | undefined> =>
	readRow(db, 'runs', RunRow, await db('runs').where({ id }).first(COLUMNS));

/** Runs of a set-up, newest first. */
export const listRuns = async (db: Knex, setupId: string): Promise<RunRow[]> =>
	readRows(
		db,
		'runs',
		RunRow,
		await db('runs').where({ setupId }).select(COLUMNS).orderBy('createdAt', 'desc').orderBy('rowid', 'desc')
	);

/** Every run, the oldest first. */
export const everyRun = async (db: Knex): Promise<RunRow[]> =>
	readRows(db, 'runs', RunRow, await db('runs').select(COLUMNS).orderBy('createdAt').orderBy('rowid'));

/** A run with what happened in it beside turns. */
export interface BegunRun extends RunRow {
	readonly events: readonly RunEvent[];
}

/** Which events are no turns: few, however long the count. Text that is no JSON is among them, to be noted. */
const BESIDE_TURNS = `case when json_valid(event) then json_extract(event, '$.kind') not in ('turns', 'counter') else 1 end`;

/** The newest run of every set-up and job that has not ended. */
export async function openRuns(db: Knex): Promise<BegunRun[]> {
	const rows = (await db('runs')
		.leftJoin('run_events', (on) => on.on('runs.id', 'run_events.runId').andOn(db.raw(BESIDE_TURNS)))
		.whereNull('endedAt')
		.select(...COLUMNS.map((column) => `runs.${column}`), 'runId', 'arrival', 'event')
		.orderBy('createdAt')
		.orderBy('runs.rowid')
		.orderBy('arrival')) as (Record<string, unknown> & { id: string; event: string | null })[];
	const eventsOf = new Map<string, unknown[]>();
	for (const row of rows)
		if (row.event !== null) eventsOf.set(row.id, [...(eventsOf.get(row.id) ?? []), row]);
	const runs = readRows(db, 'runs', RunRow, [...new Map(rows.map((row) => [row.id, row])).values()]);
	return [...new Map(runs.map((run) => [`${run.setupId}/${run.job}`, run])).values()].map((run) => ({
		...run,
		events: readEvents(db, eventsOf.get(run.id) ?? []).map(({ event }) => event)
	}));
}

/** Ids of runs that ended in a record or not, the newest first. */
export async function newestRunIds(db: Knex, limit: number): Promise<string[]> {
	const rows = (await db('runs').select('id').orderBy('createdAt', 'desc').limit(limit)) as { id: string }[];
	return rows.map(({ id }) => id);
}

/** Events of these runs that are not turns: few, however long the count. */
export async function eventsBesideTurns(
	db: Knex,
	runIds: readonly string[]
): Promise<Map<string, RunEvent[]>> {
	const rows = readEvents(
		db,
		await db('run_events')
			.whereIn('runId', [...runIds])
			// What is no JSON is told from the rest before it is looked into.
			.whereRaw(BESIDE_TURNS)
			.select(EVENT_COLUMNS)
			.orderBy('arrival')
	);
	const byRun = new Map<string, RunEvent[]>();
	for (const { runId, event } of rows) byRun.set(runId, [...(byRun.get(runId) ?? []), event]);
	return byRun;
}

/** Appends events; one that is there already is not written again. Gives the number of the run's newest arrival. */
export async function appendEvents(
	trx: Writing,
	runId: string,
	events: readonly RunEvent[]
): Promise<number> {
	const added = (await trx('run_events')
		.insert(
			events.map((event) => ({
				runId,
				id: event.id,
				event: jsonText(RunEventShape, event, 'events')
			}))
		)
		.onConflict(['runId', 'id'])
		.ignore()
		.returning('arrival')) as { arrival: number }[];
	const newest = added.at(-1);
	return newest ? newest.arrival : lastArrival(trx, runId);
}

/** Number of the newest arrival of a run; 0 when there is none. */
async function lastArrival(db: Knex, runId: string): Promise<number> {
	const row = (await db('run_events').where({ runId }).max({ last: 'arrival' }).first()) as {
		last: number | null;
	};
	return row.last ?? 0;
}

/** What arrived after `after`, in the order it came. */
export async function eventsAfter(db: Knex, runId: string, after: number): Promise<RunEvents> {
	const found = await db('run_events')
		.where({ runId })
		.where('arrival', '>', after)
		.select(EVENT_COLUMNS)
		.orderBy('arrival');
	const last = (found.at(-1) as { arrival: number } | undefined)?.arrival;
	return { events: readEvents(db, found).map(({ event }) => event), arrival: last ?? after };
}
