import { fail, runState, type ChosenSchools, type Issue } from '$lib/core';
import { readRecord } from '$lib/schema/readings';
import { jobOf } from '$lib/schema/job';
import type { WindRecord } from '$lib/schema/record';
import { settleRecord, settleSetup } from '$lib/schema/settle';
import type { FillForm, RecordForm, SaveWays, SetupForm, SpoolForm } from '$lib/schema/setup';
import type { UnitSystem } from '$lib/schema/units';
import { asWound } from '$lib/schema/wound';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { findRecord, insertRecord, listRecords } from '../repositories/records';
import { eventsBesideTurns, openRuns } from '../repositories/runs';
import { findSetup, insertSetup, listSetups, updateSetup } from '../repositories/setups';
import { runSummary } from './runs';
import { findSpool, insertSpool, listSpools, markSpoolDeleted, updateSpool } from '../repositories/spools';

export interface SavedSetup {
	readonly id: string;
	readonly spoolId: string;
	readonly version: number;
	readonly form: SetupForm;
}

/** A spool on the rack: what is on it, and what is planned for it. */
export interface RackSpool {
	readonly id: string;
	readonly form: SpoolForm;
	/** The newest winding. */
	readonly wound?: WindRecord;
	/** The newest set-up that was not wound yet, or is being wound again, and the steps that are done. */
	readonly planned?: SavedSetup & { readonly done: readonly string[] };
	/** The set-up to open when the spool is chosen. */
	readonly setupId?: string;
}

const now = (): string => new Date().toISOString();

/** Steps that are done in the run each set-up is in. */
async function stepsDone(db: Knex): Promise<Map<string, string[]>> {
	const runs = await openRuns(db);
	const events = await eventsBesideTurns(
		db,
		runs.map(({ id }) => id)
	);
	return new Map(runs.map(({ id, setupId }) => [setupId, [...runState(events.get(id) ?? []).done]]));
}

/** Everything on the rack, in the order it came. */
export async function rack(db: Knex): Promise<RackSpool[]> {
	const spools = await listSpools(db);
	const setups = await listSetups(db);
	const records = await listRecords(db);
	const done = await stepsDone(db);
	return spools.map(({ id, form }) => {
		const wound = records.filter((record) => record.spoolId === id).at(-1);
		const newest = setups.filter((setup) => setup.spoolId === id).at(-1);
		const begun = (newest && done.get(newest.id)) ?? [];
		const open = newest && (wound?.setupId !== newest.id || begun.length > 0) ? newest : undefined;
		return {
			id,
			form,
			...(wound && { wound }),
			...(open && {
				planned: {
					id: open.id,
					spoolId: id,
					version: open.version,
					form: { spool: form, fill: open.fill },
					done: begun
				}
			}),
			...(newest && { setupId: newest.id })
		};
	});
}

/** A set-up with its spool, or undefined when there is none (any more). */
export async function loadSetup(db: Knex, id: string): Promise<SavedSetup | undefined> {
	const setup = await findSetup(db, id);
	const spool = setup && (await findSpool(db, setup.spoolId));
	if (!spool) return undefined;
	return { id, spoolId: spool.id, version: setup.version, form: { spool: spool.form, fill: setup.fill } };
}

/** Every spool on the rack, as it was described. */
export const spools = async (db: Knex): Promise<{ id: string; form: SpoolForm }[]> =>
	(await listSpools(db)).map(({ id, form }) => ({ id, form }));

export const loadSpool = async (db: Knex, id: string): Promise<SpoolForm | undefined> =>
	(await findSpool(db, id))?.form;

/** The windings of one set-up, newest first. */
export const recordsOf = async (db: Knex, setupId: string): Promise<WindRecord[]> =>
	(await listRecords(db)).filter((record) => record.setupId === setupId).reverse();

/** One winding; undefined when there is none. */
export const recordById = findRecord;

/** Saves a new set-up, with its spool unless it is for one that is there already. */
export async function createSetup(
	db: Knex,
	form: SetupForm,
	units: UnitSystem,
	spoolId?: string
): Promise<{ id: string; spoolId: string; version: number }> {
	const settled = settleSetup(form, units);
	const id = randomUUID();
	return db.transaction(async (trx) => {
		const known = spoolId === undefined ? undefined : await findSpool(trx, spoolId);
		const onSpool = known?.id ?? randomUUID();
		if (known) await updateSpool(trx, onSpool, settled.spool);
		else await insertSpool(trx, onSpool, settled.spool, now());
		await insertSetup(trx, { id, spoolId: onSpool, fill: settled.fill }, now());
		return { id, spoolId: onSpool, version: 1 };
	});
}

export type Saved =
	{ kind: 'saved'; version: number } | { kind: 'gone' } | { kind: 'stale'; current: SavedSetup };

/** Saves over the version that was seen; `stale` brings what another window saved meanwhile. */
export async function saveSetup(
	db: Knex,
	id: string,
	form: SetupForm,
	version: number,
	units: UnitSystem
): Promise<Saved> {
	const settled = settleSetup(form, units);
	return db.transaction(async (trx): Promise<Saved> => {
		const current = await loadSetup(trx, id);
		if (!current) return { kind: 'gone' };
		if (!(await updateSetup(trx, { id, fill: settled.fill, version }, now())))
			return { kind: 'stale', current };
		await updateSpool(trx, current.spoolId, settled.spool);
		return { kind: 'saved', version: version + 1 };
	});
}

/** Changes how a set-up is wound and tied, whatever version it has. False when there is no such set-up. */
export async function saveWays(db: Knex, id: string, ways: SaveWays, units: UnitSystem): Promise<boolean> {
	return db.transaction(async (trx) => {
		const current = await loadSetup(trx, id);
		if (!current) return false;
		const { fill, spool } = current.form;
		const changed: FillForm = {
			...fill,
			schools: ways.schools ?? fill.schools,
			arborTurns: ways.arborTurns ?? fill.arborTurns,
			gap: ways.gap ?? fill.gap,
			stack: fill.stack.map((part) => ({ ...part, joint: ways.joints?.[part.id] ?? part.joint }))
		};
		const settled = settleSetup({ spool, fill: changed }, units);
		return updateSetup(trx, { id, fill: settled.fill, version: current.version }, now());
	});
}

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
	const readings = readRecord(typed, units);
	if (!readings.ok) return { kind: 'bad', issues: readings.issues };
	const wound = asWound(setup.form, readings.value);
	if (!wound) return { kind: 'bad', issues: fail({ code: 'missing_value' }, ['setup']).issues };
	const record: WindRecord = {
		id: randomUUID(),
		setupId,
		spoolId: setup.spoolId,
		woundOn: typed.woundOn,
		typed: settleRecord(typed, units),
		...readings.value,
		form: setup.form,
		backingMm: wound.backingMm,
		backingMeasured: wound.backingMeasured,
		run: await runSummary(db, setupId, jobOf(setup.form, wound.workout, person))
	};
	await insertRecord(db, record, now());
	return { kind: 'recorded', id: record.id };
}

/** Takes a spool off the rack. False when it is not there. */
export const removeSpool = (db: Knex, id: string): Promise<boolean> => markSpoolDeleted(db, id, now());

/** Puts it back. */
export const restoreSpool = (db: Knex, id: string): Promise<boolean> => markSpoolDeleted(db, id, null);
