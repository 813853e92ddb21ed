import {
	learnTempo,
	runSeconds,
	runState,
	stepTimes,
	timedSteps,
	type RunEvent,
	type RunState,
	type Tempo
} from '$lib/core';
import type { RunEvents } from '$lib/bench/run';
import type { RunSummary } from '$lib/inventory/winding';
import type { Knex } from 'knex';
import { EventEmitter } from 'node:events';
import { together } from '../db/together';
import { ROWS_HAVE_IDS, write, type Writing } from '../db/write';
import { done, gone, type Outcome } from '../outcome';
import {
	appendEvents,
	eventsAfter,
	eventsBesideTurns,
	findRun,
	insertRun,
	listRuns,
	newestRunIds,
	WINDINGS,
	type RunRow
} from '../repositories/runs';
import { listWindings, updateSummary } from '../repositories/windings';
import { findSetup } from '../repositories/setups';
import { orderBegun, ordersChanged, tellingBoards } from './order-progress';

/** Tells those who follow a run that something arrived: one process, so an emitter is enough. */
const arrivals = new EventEmitter().setMaxListeners(0);

/** Starts a run of a set-up under an id that the starter chose. */
export const startRun = (db: Knex, id: string, setupId: string, job = 'wind'): Promise<Outcome<null>> =>
	tellingBoards(
		write(db, ROWS_HAVE_IDS, async (trx, now) => {
			if (!(await findSetup(trx, setupId))) return gone('set-up');
			await insertRun(trx, { id, setupId, job }, now);
			if (WINDINGS.includes(job)) await orderBegun(trx, setupId);
			return (await findRun(trx, id))?.setupId === setupId ? done(null) : gone('set-up');
		})
	);

/** The run of these jobs that a set-up is in: the newest, unless it has ended; a winding has with its record. */
export async function currentRun(
	db: Knex,
	setupId: string,
	jobs: readonly string[] = WINDINGS
): Promise<RunRow | undefined> {
	const newest = (await listRuns(db, setupId)).find(({ job }) => jobs.includes(job));
	return newest?.endedAt === null ? newest : undefined;
}

/** The newest arrival of a run, and whether its job is over: what is counted then belongs to a new run. */
export interface Arrived {
	readonly arrival: number;
	readonly ended: boolean;
}

interface Added {
	readonly runId: string;
	readonly events: readonly RunEvent[];
}

async function addWithin(trx: Writing, { runId, events }: Added): Promise<Outcome<Arrived>> {
	const run = await findRun(trx, runId);
	if (!run) return gone('run');
	const arrival = await appendEvents(trx, runId, events);
	if (run.recordId !== null) await tellAgain(trx, run, run.recordId);
	return done({ arrival, ended: run.endedAt !== null });
}

/** Twenty benches that count at once wait for the disk together. */
const add = together(
	async (db, several: readonly Added[]): Promise<readonly Outcome<Arrived>[] | undefined> => {
		const added = await write(db, ROWS_HAVE_IDS, async (trx) => {
			const outcomes: Outcome<Arrived>[] = [];
			for (const one of several) outcomes.push(await addWithin(trx, one));
			return done(outcomes);
		});
		return added.ok ? added.value : undefined;
	},
	(db, one) => write(db, ROWS_HAVE_IDS, (trx) => addWithin(trx, one))
);

/**
 * Takes events in, each once, however often it is sent. One that comes after its job has ended, from a window that was away,
 * is kept with it, and the record that came of it tells it as well.
 */
export async function addEvents(
	db: Knex,
	runId: string,
	events: readonly RunEvent[]
): Promise<Outcome<Arrived>> {
	const added = await add(db, { runId, events });
	if (!added.ok) return added;
	arrivals.emit(runId);
	// What a board shows of a job is its steps.
	if (events.some(({ kind }) => kind === 'step')) ordersChanged();
	return added;
}

/** A record's run with what arrived since; how it was planned and tied stays as it was. */
async function tellAgain(trx: Writing, run: RunRow, recordId: string): Promise<void> {
	const record = (await listWindings(trx)).find(({ id }) => id === recordId);
	const before = record?.run;
	if (!before) return;
	const told = summaryOf(run, await foldedRun(trx, run.id), before);
	if (told) await updateSummary(trx, recordId, told);
}

/** What arrived after a number. Undefined when there is no such run. */
export const runEvents = async (db: Knex, runId: string, after: number): Promise<RunEvents | undefined> =>
	(await findRun(db, runId)) ? eventsAfter(db, runId, after) : undefined;

/** Calls back whenever something arrives for a run; returns how to stop. */
export function followRun(runId: string, arrived: () => void): () => void {
	arrivals.on(runId, arrived);
	return () => arrivals.off(runId, arrived);
}

/** What is done in the run that a set-up is in, for the first page; the count itself comes with the run. */
export async function runBegun(
	db: Knex,
	setupId: string,
	job = 'wind'
): Promise<{ id: string; done: string[]; tools: string[] } | undefined> {
	const id = (await currentRun(db, setupId, [job]))?.id;
	if (id === undefined) return undefined;
	const { done, tools } = runState((await eventsBesideTurns(db, [id])).get(id) ?? []);
	return { id, done: [...done], tools: [...tools] };
}

/** Everything that happened in a run, folded. */
export async function foldedRun(
	db: Knex,
	id: string
): Promise<{ events: readonly RunEvent[]; state: RunState }> {
	const { events } = await eventsAfter(db, id, 0);
	return { events, state: runState(events) };
}

/** What a run has come to; null when nothing happened in it. */
export function summaryOf(
	{ id, job }: RunRow,
	{ events, state }: { events: readonly RunEvent[]; state: RunState },
	planned: Pick<RunSummary, 'plannedSeconds' | 'hand' | 'knots'>
): RunSummary | null {
	if (events.length === 0) return null;
	return {
		run: id,
		...(job !== 'wind' && { job }),
		startedAt: new Date(state.log[0]?.first.at ?? events[0]!.at).toISOString(),
		seconds: runSeconds(events),
		plannedSeconds: planned.plannedSeconds,
		turns: Object.fromEntries(state.turns),
		steps: stepTimes(events),
		remarks: state.remarks.map(({ text, step }) => ({ text, ...(step !== undefined && { step }) })),
		photos: state.photos.map(({ photo, step }) => ({ photo, step })),
		remedies: state.remedies.map(({ remedy, step }) => ({ remedy, step })),
		...(state.coils.size > 0 && { coils: Object.fromEntries(state.coils) }),
		...(state.tug !== undefined && { tug: state.tug }),
		hand: planned.hand,
		knots: planned.knots
	};
}

/** How many past runs a tempo is learnt from. */
const TEMPO_RUNS = 30;

/** How fast the steps go here, from the runs that were made. */
export async function tempo(db: Knex): Promise<Tempo> {
	const events = await eventsBesideTurns(db, await newestRunIds(db, TEMPO_RUNS));
	return learnTempo([...events.values()].flatMap(timedSteps));
}
