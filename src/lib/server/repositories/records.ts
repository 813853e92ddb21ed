import type { WindRecord } from '$lib/schema/record';
import { RunSummary } from '$lib/schema/run';
import { RecordForm, SetupForm } from '$lib/schema/setup';
import type { Knex } from 'knex';
import { z } from 'zod';
import { flag, json } from './columns';

const Row = z
	.object({
		id: z.string(),
		setup_id: z.string(),
		spool_id: z.string(),
		wound_on: z.string(),
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

/** Records do not change: those that were read before are not read again, and the same list is given while it is the same. */
interface Read {
	readonly byId: Map<string, WindRecord>;
	list: readonly WindRecord[];
}
const readOf = new WeakMap<Knex, Read>();

const living = (db: Knex): Knex.QueryBuilder => db('records').whereNull('taken_back_at');
/** How many rows one statement names. */
const PORTION = 400;

/** Every record that was not taken back, oldest first. */
export async function listRecords(db: Knex): Promise<readonly WindRecord[]> {
	const read = readOf.get(db) ?? { byId: new Map<string, WindRecord>(), list: [] };
	readOf.set(db, read);
	const ids = z
		.array(z.object({ id: z.string() }))
		.parse(await living(db).select('id').orderBy('wound_on').orderBy('created_at'))
		.map(({ id }) => id);
	const fresh = ids.filter((id) => !read.byId.has(id));
	for (let i = 0; i < fresh.length; i += PORTION)
		for (const record of z.array(Row).parse(
			await db('records')
				.whereIn('id', fresh.slice(i, i + PORTION))
				.select('*')
		))
			read.byId.set(record.id, record);
	if (ids.length !== read.list.length || ids.some((id, i) => id !== read.list[i]!.id))
		read.list = ids.map((id) => read.byId.get(id)!);
	return read.list;
}

export const findRecord = async (db: Knex, id: string): Promise<WindRecord | undefined> =>
	Row.optional().parse(await living(db).where({ id }).first('*'));

/** Takes a record back, or brings it again: nothing of it is lost. False when there is none. */
export const markTakenBack = async (db: Knex, id: string, at: string | null): Promise<boolean> =>
	(await db('records').where({ id }).update({ taken_back_at: at })) > 0;

export async function insertRecord(db: Knex, record: WindRecord): Promise<void> {
	await db('records').insert({
		id: record.id,
		setup_id: record.setupId,
		spool_id: record.spoolId,
		wound_on: record.woundOn,
		typed: JSON.stringify(record.typed),
		turns: record.turns,
		depth_mm: record.depthMm,
		gap_mm: record.gapMm,
		form: JSON.stringify(record.form),
		backing_mm: record.backingMm,
		backing_measured: record.backingMeasured,
		run: record.run && JSON.stringify(record.run),
		created_at: new Date(record.writtenAt).toISOString()
	});
}

/** When the newest record of a set-up was written; undefined when there is none. */
export async function lastRecordAt(db: Knex, setupId: string): Promise<string | undefined> {
	const row = z
		.object({ last: z.string().nullable() })
		.parse(await living(db).where({ setup_id: setupId }).max({ last: 'created_at' }).first());
	return row.last ?? undefined;
}
