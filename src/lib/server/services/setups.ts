import { runState, type ChosenTechniques } from '$lib/core';
import type { BenchJob } from '$lib/bench/work';
import type { Winding } from '$lib/inventory/winding';
import { lineForms } from '$lib/setup/match';
import { same } from '$lib/setup/merge';
import { settleSetup } from '$lib/setup/settle';
import type { ComponentForm, FillForm, SaveTechniques, SetupForm, SpoolForm } from '$lib/setup/form';
import type { UnitSystem } from '$lib/wording/units';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { listWindings } from '../repositories/windings';
import { listRack } from '../repositories/rack';
import { openRuns, WINDINGS } from '../repositories/runs';
import { write, type WriteId, type Writing } from '../db/write';
import { done, gone, stale, type Outcome } from '../outcome';
import { insertSetup, markDropped, updateSetup } from '../repositories/setups';
import {
	findSpool,
	insertSpool,
	listSpools,
	markSpoolDeleted,
	updateSpool,
	type SpoolRow
} from '../repositories/spools';
import { jobLeadingTo } from './bench';
import { inventoryNow, spoolNow } from './inventory';
import { findRows, savedOf, type SavedSetup, type SetupRows } from './saved';

/** A job that is begun, and the steps of it that are done. */
interface BegunJob {
	readonly setupId: string;
	readonly job: string;
	readonly done: readonly string[];
}

/** A spool on the rack: what is on it, and what is planned for it. */
export interface RackSpool {
	readonly id: string;
	readonly form: SpoolForm;
	/** The newest winding, and how many of its components still lie there. */
	readonly wound?: Winding;
	readonly still: number;
	/** The newest set-up that was not wound yet, or is being wound again, and the steps that are done. */
	readonly planned?: SavedSetup & { readonly done: readonly string[]; readonly bench: BenchJob };
	/** A job begun on it that winds nothing new: a line coming off, or losing its twist. */
	readonly other?: BegunJob;
	/** The set-up to open when the spool is chosen. */
	readonly setupId?: string;
}

/** A spool of the rack with its windings, the newest first; undefined when it is not on the rack. */
export async function spoolWithWindings(
	db: Knex,
	id: string
): Promise<{ spool: RackSpool; windings: Winding[] } | undefined> {
	const spool = (await rack(db)).find((one) => one.id === id);
	if (!spool) return undefined;
	const windings = (await listWindings(db)).filter(({ spoolId }) => spoolId === id);
	return {
		spool,
		windings: windings.toSorted((a, b) => b.woundOn.compare(a.woundOn) || b.writtenAt - a.writtenAt)
	};
}

/** Everything on the rack, in the order it came: five statements, however many spools there are. */
export async function rack(db: Knex): Promise<RackSpool[]> {
	const { spools, setups } = await listRack(db);
	const begun = (await openRuns(db)).map(({ setupId, job, events }): BegunJob => ({
		setupId,
		job,
		done: [...runState(events).done]
	}));
	const inventory = await inventoryNow(db, spools);
	const newestSetup = new Map(setups.map((setup) => [setup.spoolId, setup]));
	const spoolOfSetup = new Map(setups.map(({ id, spoolId }) => [id, spoolId]));
	return spools.map((spool): RackSpool => {
		const { id, form } = spool;
		const [now, newest] = [spoolNow(inventory, id), newestSetup.get(id)];
		const winding = begun.find(({ setupId, job }) => setupId === newest?.id && WINDINGS.includes(job));
		const open = newest && (now?.record.setupId !== newest.id || winding) ? newest : undefined;
		const other = begun.findLast(
			({ setupId, job, done }) =>
				spoolOfSetup.get(setupId) === id && !WINDINGS.includes(job) && done.length > 0
		);
		const planned = open && savedOf({ setup: open, spool });
		return {
			id,
			form,
			...(now && { wound: now.record }),
			still: now?.still ?? 0,
			...(planned && {
				planned: {
					...planned,
					done: winding?.done ?? [],
					bench: jobLeadingTo(inventory, planned, winding?.job)
				}
			}),
			...(other && { other }),
			...(newest && { setupId: newest.id })
		};
	});
}

/** Every set-up of the spools on the rack, the oldest first. */
export async function listSetups(db: Knex): Promise<SavedSetup[]> {
	const { spools, setups } = await listRack(db);
	const spoolOf = new Map(spools.map((spool) => [spool.id, spool]));
	return setups.flatMap((setup) => {
		const spool = spoolOf.get(setup.spoolId);
		return spool ? [savedOf({ setup, spool })] : [];
	});
}

/** Every spool on the rack, as it was described. */
export const spools = async (db: Knex): Promise<{ id: string; form: SpoolForm; version: number }[]> =>
	(await listSpools(db)).map(({ id, form, version }) => ({ id, form, version }));

/** What can be matched: the spools on the rack, and every line and head that was wound or is planned. */
export async function matchable(
	db: Knex
): Promise<{ spools: { id: string; form: SpoolForm }[]; lines: ComponentForm[] }> {
	const { spools, setups } = await listRack(db);
	const newest = [...new Map((await listWindings(db)).map((record) => [record.spoolId, record])).values()];
	const there = new Set(spools.map(({ id }) => id));
	const wound = newest.filter(({ spoolId }) => there.has(spoolId)).map(({ form }) => form.fill);
	const planned = [...new Map(setups.map((setup) => [setup.spoolId, setup.fill])).values()];
	return {
		spools: spools.map(({ id, form }) => ({ id, form })),
		lines: lineForms([...wound, ...planned])
	};
}

export const loadSpool = async (
	db: Knex,
	id: string
): Promise<{ form: SpoolForm; version: number } | undefined> => {
	const spool = await findSpool(db, id);
	return spool && { form: spool.form, version: spool.version };
};

/** What a set-up that was saved is told by. */
export interface Saved {
	readonly id: string;
	readonly spoolId: string;
	readonly version: number;
}

/** A spool that a new set-up is for: its id, and the version of it that was seen where its form was changed. */
export interface ForSpool {
	readonly spoolId: string;
	readonly spoolVersion?: number | undefined;
}

/**
 * Saves a new set-up, with its spool unless it is for one that is there already. That one's own measures stay as they are,
 * unless they were changed by somebody who had seen its newest version: `stale` brings the spool as it is.
 */
export const createSetup = (
	db: Knex,
	asked: WriteId,
	form: SetupForm,
	units: UnitSystem,
	of?: ForSpool
): Promise<Outcome<Saved>> =>
	write(db, asked, async (trx, now) => {
		const settled = settleSetup(form, units);
		const id = randomUUID();
		if (!of) {
			const spoolId = randomUUID();
			await insertSpool(trx, spoolId, settled.spool, now);
			await insertSetup(trx, { id, spoolId, fill: settled.fill }, now);
			return done({ id, spoolId, version: 1 });
		}
		const spool = await findSpool(trx, of.spoolId);
		if (!spool) return gone('spool');
		const changed = !same(spool.form, settled.spool);
		if (changed && of.spoolVersion !== spool.version)
			return stale({ spoolId: spool.id, spool: spool.form, spoolVersion: spool.version });
		if (changed) await updateSpool(trx, spool, settled.spool, now);
		return done(
			await planOn(trx, changed ? { ...spool, version: spool.version + 1 } : spool, settled.fill, now)
		);
	});

/** A new set-up for a spool that is there, whose own measures stay as they are. */
export async function planOn(
	trx: Writing,
	spool: Pick<SpoolRow, 'id' | 'version'>,
	fill: FillForm,
	now: string
): Promise<Saved> {
	const id = randomUUID();
	await insertSetup(trx, { id, spoolId: spool.id, fill }, now);
	return { id, spoolId: spool.id, version: 1 + spool.version };
}

/** Writes what changed of a set-up, the spool only where it did; gives the version that makes. */
async function saveOver(
	trx: Writing,
	rows: SetupRows,
	{ spool, fill }: SetupForm,
	now: string
): Promise<{ version: number }> {
	let { version } = savedOf(rows);
	if (!same(rows.setup.fill, fill)) {
		await updateSetup(trx, rows.setup, fill, now);
		version++;
	}
	if (!same(rows.spool.form, spool)) {
		await updateSpool(trx, rows.spool, spool, now);
		version++;
	}
	return { version };
}

/** Changes a set-up, over the version that was seen where one is said; `stale` brings what is there now. */
const changeSetup = (
	db: Knex,
	asked: WriteId,
	{ id, version }: { id: string; version: number | undefined },
	units: UnitSystem,
	change: (form: SetupForm) => SetupForm
): Promise<Outcome<{ version: number }>> =>
	write(db, asked, async (trx, now) => {
		const rows = await findRows(trx, id);
		if (!rows) return gone('set-up');
		const current = savedOf(rows);
		if (version !== undefined && current.version !== version) return stale(current);
		return done(await saveOver(trx, rows, settleSetup(change(current.form), units), now));
	});

/** Saves over the version that was seen. */
export const saveSetup = (
	db: Knex,
	asked: WriteId,
	id: string,
	form: SetupForm,
	version: number,
	units: UnitSystem
): Promise<Outcome<{ version: number }>> => changeSetup(db, asked, { id, version }, units, () => form);

/**
 * Changes how a set-up is wound and tied; what is not named stays as it is. Techniques are named one by one, so that nobody
 * else's choice goes with them.
 */
export const saveTechniques = (
	db: Knex,
	asked: WriteId,
	id: string,
	{ version, ...ways }: SaveTechniques,
	units: UnitSystem
): Promise<Outcome<{ version: number }>> =>
	changeSetup(db, asked, { id, version }, units, ({ spool, fill }) => ({
		spool,
		fill: {
			...fill,
			schools: chosen({ ...fill.schools, ...ways.schools }),
			arborTurns: ways.arborTurns ?? fill.arborTurns,
			gap: ways.gap ?? fill.gap,
			stack: fill.stack.map((part) => ({ ...part, joint: ways.joints?.[part.id] ?? part.joint }))
		}
	}));

/** The techniques that are chosen: what was set back to the person's own is not. */
const chosen = (schools: object): ChosenTechniques =>
	Object.fromEntries(Object.entries(schools).filter(([, way]) => way !== null)) as ChosenTechniques;

/** Takes a spool off the rack. */
export const removeSpool = (db: Knex, asked: WriteId, id: string): Promise<Outcome<null>> =>
	write(db, asked, async (trx, now) => ((await markSpoolDeleted(trx, id, now)) ? done(null) : gone('spool')));

/** Puts it back. */
export const restoreSpool = (db: Knex, asked: WriteId, id: string): Promise<Outcome<null>> =>
	write(db, asked, async (trx) => ((await markSpoolDeleted(trx, id, null)) ? done(null) : gone('spool')));

/** Drops a plan that nobody wound, or takes it up again. */
export const dropSetup = (db: Knex, asked: WriteId, id: string, dropped: boolean): Promise<Outcome<null>> =>
	write(db, asked, async (trx, now) => {
		const wound = (await listWindings(trx)).some(({ setupId }) => setupId === id);
		return !wound && (await markDropped(trx, id, dropped ? now : null))
			? done(null)
			: gone(dropped ? 'plan that was not wound' : 'plan');
	});
