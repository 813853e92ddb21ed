import { fail, type ChosenSchools, type Issue } from '$lib/core';
import { workOf } from '$lib/schema/bench-job';
import { jobOf, knotsOf } from '$lib/schema/job';
import { readRecord } from '$lib/schema/readings';
import type { WindRecord } from '$lib/schema/record';
import { settleRecord } from '$lib/schema/settle';
import type { RecordForm } from '$lib/schema/setup';
import type { UnitSystem } from '$lib/schema/units';
import { asWound } from '$lib/schema/wound';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { findRecord, insertRecord, listRecords, markTakenBack } from '../repositories/records';
import { benchJob, spoolNow } from './bench';
import { keptNow } from './care';
import { currentRun, foldedRun, summaryOf } from './runs';
import { loadSetup } from './saved';

/** The windings of one set-up, newest first. */
export const recordsOf = async (db: Knex, setupId: string): Promise<WindRecord[]> =>
	(await listRecords(db)).filter((record) => record.setupId === setupId).reverse();

/** One winding; undefined when there is none. */
export const recordById = findRecord;

export type Recorded = { kind: 'recorded'; id: string } | { kind: 'gone' } | { kind: 'bad'; issues: Issue[] };

/** Writes down what came out, with what the run came to. The next winding of the same set-up begins a run of its own. */
export async function recordWinding(
	db: Knex,
	setupId: string,
	typed: RecordForm,
	units: UnitSystem,
	person: ChosenSchools = {}
): Promise<Recorded> {
	const setup = await loadSetup(db, setupId);
	if (!setup) return { kind: 'gone' };
	const typedReadings = readRecord(typed, units);
	if (!typedReadings.ok) return { kind: 'bad', issues: typedReadings.issues };
	const bench = await benchJob(db, setupId, undefined);
	// Backing that stayed lies as it was measured when it was wound.
	const stayed =
		bench.kind === 'swap' && !bench.off.some(({ role }) => role === 'backing')
			? (await spoolNow(db, setup.spoolId, await keptNow(db)))?.record
			: undefined;
	const readings = {
		...typedReadings.value,
		...(stayed && { turns: stayed.turns, depthMm: stayed.depthMm })
	};
	const wound = asWound(setup.form, readings);
	if (!wound) return { kind: 'bad', issues: fail({ code: 'missing_value' }, ['setup']).issues };
	const job = jobOf(setup.form, wound.workout, person);
	const run = (await currentRun(db, setupId)) ?? null;
	const folded = run && (await foldedRun(db, run.id));
	const record: WindRecord = {
		id: randomUUID(),
		setupId,
		spoolId: setup.spoolId,
		woundOn: typed.woundOn,
		writtenAt: Date.now(),
		typed: settleRecord(typed, units),
		...readings,
		form: setup.form,
		backingMm: (stayed ?? wound).backingMm,
		backingMeasured: (stayed ?? wound).backingMeasured,
		run:
			run &&
			folded &&
			summaryOf(run, folded, { steps: workOf(job, bench).steps, hand: job.hand, knots: knotsOf(job) })
	};
	await insertRecord(db, record);
	return { kind: 'recorded', id: record.id };
}

/** Takes a winding back, or brings it again: what lay there before lies there again. False when there is none. */
export const takeBackWinding = (db: Knex, id: string, back: boolean): Promise<boolean> =>
	markTakenBack(db, id, back ? new Date().toISOString() : null);
