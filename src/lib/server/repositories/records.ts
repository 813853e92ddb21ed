import { Day } from '$lib/inventory/day';
import { RecordForm, RunSummary, type WindRecord } from '$lib/inventory/winding';
import { SetupForm } from '$lib/setup/form';
import type { Knex } from 'knex';
import { z } from 'zod';
import { ReadBefore, type Writing } from '../db/write';
import { flag, json, jsonText, readRow, readRows } from './columns';

const Row = z
	.object({
		id: z.string(),
		setup_id: z.string(),
		spool_id: z.string(),
		wound_on: Day,
		typed: json(RecordForm),
		turns: z.number().nullable(),
		depth_mm: z.number().nullable(),
		gap_mm: z.number().nullable(),
		form: json(SetupForm),
		backing_mm: z.number(),
		backing_measured: flag,
		run: json(RunSummary).nullable(),
		created_at: z.string()
	})
	.transform((row): WindRecord => ({
		id: row.id,
		setupId: row.setup_id,
		spoolId: row.spool_id,
		woundOn: row.wound_on,
		writtenAt: Date.parse(row.created_at),
		typed: row.typed,
		turns: row.turns,
		depthMm: row.depth_mm,
		gapMm: row.gap_mm,
		form: row.form,
		backingMm: row.backing_mm,
		backingMeasured: row.backing_measured,
		run: row.run
	}));

/** Records that were read before, under their id and version, and the list they made: the same list as long as nothing changed. */
interface Read {
	readonly byVersion: ReadonlyMap<string, WindRecord | undefined>;
	readonly list: readonly WindRecord[];
}
const readBefore = new ReadBefore<Read>();

const living = (db: Knex): Knex.QueryBuilder => db('records').whereNull('taken_back_at');
/** How many rows one statement names. */
const PORTION = 400;

/** Every record that counts, oldest first. */
export async function listRecords(db: Knex): Promise<readonly WindRecord[]> {
	const before = readBefore.get(db);
	const there = z
		.array(z.object({ id: z.string(), version: z.number() }))
		.parse(
			await living(db).select('id', 'version').orderBy('wound_on').orderBy('created_at').orderBy('rowid')
		);
	const keyOf = ({ id, version }: { id: string; version: number }): string => `${id}/${version}`;
	const fresh = there.filter((one) => !before?.byVersion.has(keyOf(one)));
	const byVersion = new Map(before?.byVersion);
	for (let i = 0; i < fresh.length; i += PORTION) {
		const portion = fresh.slice(i, i + PORTION);
		const ids = portion.map(({ id }) => id);
		const read = readRows(db, 'records', Row, await db('records').whereIn('id', ids).select('*'));
		const byId = new Map(read.map((record) => [record.id, record]));
		// One that does not read is not tried again until it changes.
		for (const one of portion) byVersion.set(keyOf(one), byId.get(one.id));
	}
	const list = there.flatMap((one) => byVersion.get(keyOf(one)) ?? []);
	const same = list.length === before?.list.length && list.every((record, i) => record === before.list[i]);
	const read = { byVersion, list: same ? before!.list : list };
	readBefore.set(db, read);
	return read.list;
}

export const findRecord = async (db: Knex, id: string): Promise<WindRecord | undefined> =>
	readRow(db, 'records', Row, await living(db).where({ id }).first('*'));

/** Undoes a record, or counts it again: nothing of it is lost. False when there is none. */
export const markTakenBack = async (trx: Writing, id: string, at: string | null): Promise<boolean> =>
	(await trx('records').where({ id }).update({ taken_back_at: at })) > 0;

/** What a record's run came to, told again because more of it arrived. */
export async function updateSummary(trx: Writing, id: string, run: RunSummary): Promise<void> {
	await trx('records')
		.where({ id })
		.update({ run: jsonText(RunSummary, run, 'run'), version: trx.raw('version + 1') });
}

export async function insertRecord(trx: Writing, record: WindRecord): Promise<void> {
	await trx('records').insert({
		id: record.id,
		setup_id: record.setupId,
		spool_id: record.spoolId,
		wound_on: record.woundOn.toString(),
		typed: jsonText(RecordForm, record.typed),
		turns: record.turns,
		depth_mm: record.depthMm,
		gap_mm: record.gapMm,
		form: jsonText(SetupForm, record.form, 'setup'),
		backing_mm: record.backingMm,
		backing_measured: record.backingMeasured,
		run: record.run && jsonText(RunSummary, record.run, 'run'),
		created_at: new Date(record.writtenAt).toISOString()
	});
}
