import type { RunEvent } from '$lib/core';
import type { RunEvents } from '$lib/schema/run';
import type { Knex } from 'knex';
import { EventEmitter } from 'node:events';
import { appendEvents, eventsAfter, findRun, insertRun, lastArrival, listRuns } from '../repositories/runs';
import { lastRecordAt } from '../repositories/records';
import { findSetup } from '../repositories/setups';

/** Tells those who follow a run that something arrived: one process, so an emitter is enough. */
const arrivals = new EventEmitter().setMaxListeners(0);

/** Starts a run of a set-up under an id that the starter chose. False when there is no such set-up. */
export async function startRun(db: Knex, id: string, setupId: string): Promise<boolean> {
	if (!(await findSetup(db, setupId))) return false;
	await insertRun(db, id, setupId, new Date().toISOString());
	return (await findRun(db, id))?.setupId === setupId;
}

/** The run that a set-up is in: the newest, unless a record has ended it. */
export async function currentRun(db: Knex, setupId: string): Promise<string | undefined> {
	const [newest] = await listRuns(db, setupId);
	const ended = await lastRecordAt(db, setupId);
	return newest && (ended === undefined || newest.createdAt > ended) ? newest.id : undefined;
}

/** Takes events in, each once, however often it is sent. Undefined when there is no such run. */
export async function addEvents(
	db: Knex,
	runId: string,
	events: readonly RunEvent[]
): Promise<number | undefined> {
	if (!(await findRun(db, runId))) return undefined;
	await db.transaction((trx) => appendEvents(trx, runId, events));
	arrivals.emit(runId);
	return lastArrival(db, runId);
}

/** What arrived after a number. Undefined when there is no such run. */
export const runEvents = async (db: Knex, runId: string, after: number): Promise<RunEvents | undefined> =>
	(await findRun(db, runId)) ? eventsAfter(db, runId, after) : undefined;

/** Calls back whenever something arrives for a run; returns how to stop. */
export function followRun(runId: string, arrived: () => void): () => void {
	arrivals.on(runId, arrived);
	return () => arrivals.off(runId, arrived);
}
