import { runState } from '$lib/core';
import type { BenchJob } from '$lib/schema/bench-job';
import { stillOn } from '$lib/schema/kept';
import type { WindRecord } from '$lib/schema/record';
import { settleSetup } from '$lib/schema/settle';
import type { FillForm, SaveWays, SetupForm, SpoolForm } from '$lib/schema/setup';
import type { UnitSystem } from '$lib/schema/units';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { listRecords } from '../repositories/records';
import { eventsBesideTurns, openRuns, WINDINGS } from '../repositories/runs';
import { insertSetup, listSetups, markDropped, updateSetup } from '../repositories/setups';
import { findSpool, insertSpool, listSpools, markSpoolDeleted, updateSpool } from '../repositories/spools';
import { benchJob } from './bench';
import { keptNow, spoolOfKept } from './care';
import { loadSetup, type SavedSetup } from './saved';

/** A job that is begun, and the steps of it that are done. */
interface Begun {
	readonly setupId: string;
	readonly job: string;
	readonly done: readonly string[];
}

/** A spool on the rack: what is on it, and what is planned for it. */
export interface RackSpool {
	readonly id: string;
	readonly form: SpoolForm;
	/** The newest winding, and how many of its components still lie there. */
	readonly wound?: WindRecord;
	readonly still: number;
	/** The newest set-up that was not wound yet, or is being wound again, and the steps that are done. */
	readonly planned?: SavedSetup & { readonly done: readonly string[]; readonly bench: BenchJob };
	/** A job begun on it that winds nothing new: a line coming off, or losing its twist. */
	readonly other?: Begun;
	/** The set-up to open when the spool is chosen. */
	readonly setupId?: string;
}

const now = (): string => new Date().toISOString();

/** What is begun at the bench. */
async function begunJobs(db: Knex): Promise<Begun[]> {
	const runs = await openRuns(db);
	const events = await eventsBesideTurns(
		db,
		runs.map(({ id }) => id)
	);
	return runs.map(({ id, setupId, job }) => ({
		setupId,
		job,
		done: [...runState(events.get(id) ?? []).done]
	}));
}

/** Everything on the rack, in the order it came. */
export async function rack(db: Knex): Promise<RackSpool[]> {
	const [spools, setups, records, begun] = [
		await listSpools(db),
		await listSetups(db),
		await listRecords(db),
		await begunJobs(db)
	];
	const kept = await keptNow(db);
	const newestRecord = new Map(records.map((record) => [record.spoolId, record]));
	const newestSetup = new Map(setups.map((setup) => [setup.spoolId, setup]));
	const spoolOfSetup = new Map(setups.map(({ id, spoolId }) => [id, spoolId]));
	return Promise.all(
		spools.map(async ({ id, form }): Promise<RackSpool> => {
			const [wound, newest] = [newestRecord.get(id), newestSetup.get(id)];
			const winding = begun.find(({ setupId, job }) => setupId === newest?.id && WINDINGS.includes(job));
			const open = newest && (wound?.setupId !== newest.id || winding) ? newest : undefined;
			const other = begun.findLast(
				({ setupId, job, done }) =>
					spoolOfSetup.get(setupId) === id && !WINDINGS.includes(job) && done.length > 0
			);
			return {
				id,
				form,
				...(wound && { wound }),
				still: wound ? stillOn(wound, spoolOfKept(kept)) : 0,
				...(open && {
					planned: {
						id: open.id,
						spoolId: id,
						version: open.version,
						form: { spool: form, fill: open.fill },
						done: winding?.done ?? [],
						bench: await benchJob(db, open.id, undefined)
					}
				}),
				...(other && { other }),
				...(newest && { setupId: newest.id })
			};
		})
	);
}

/** Every spool on the rack, as it was described. */
export const spools = async (db: Knex): Promise<{ id: string; form: SpoolForm }[]> =>
	(await listSpools(db)).map(({ id, form }) => ({ id, form }));

export const loadSpool = async (db: Knex, id: string): Promise<SpoolForm | undefined> =>
	(await findSpool(db, id))?.form;

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

/** Takes a spool off the rack. False when it is not there. */
export const removeSpool = (db: Knex, id: string): Promise<boolean> => markSpoolDeleted(db, id, now());

/** Puts it back. */
export const restoreSpool = (db: Knex, id: string): Promise<boolean> => markSpoolDeleted(db, id, null);

/** Drops a plan that nobody wound, or takes it up again. False when there is none, or when it was wound. */
export async function dropSetup(db: Knex, id: string, dropped: boolean): Promise<boolean> {
	if ((await listRecords(db)).some(({ setupId }) => setupId === id)) return false;
	return markDropped(db, id, dropped ? now() : null);
}
