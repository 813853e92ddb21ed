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
		run: json(RunSummary).nullable()
	})
	.transform((row): WindRecord => ({
		id: row.id,
		setupId: row.setup_id,
		spoolId: row.spool_id,
		woundOn: row.wound_on,
		typed: row.typed,
		turns: row.turns,
		depthMm: row.depth_mm,
		gapMm: row.gap_mm,
		form: row.form,
		backingMm: row.backing_mm,
		backingMeasured: row.backing_measured,
		run: row.run
	}));

/** Every record, oldest first. */
export const listRecords = async (db: Knex): Promise<WindRecord[]> =>
	z.array(Row).parse(await db('records').select('*').orderBy('wound_on').orderBy('created_at'));

export const findRecord = async (db: Knex, id: string): Promise<WindRecord | undefined> =>
	Row.optional().parse(await db('records').where({ id }).first('*'));

export async function insertRecord(db: Knex, record: WindRecord, now: string): Promise<void> {
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
		created_at: now
	});
}

/** When the newest record of a set-up was written; undefined when there is none. */
export async function lastRecordAt(db: Knex, setupId: string): Promise<string | undefined> {
	const row = z
		.object({ last: z.string().nullable() })
		.parse(await db('records').where({ setup_id: setupId }).max({ last: 'created_at' }).first());
	return row.last ?? undefined;
}
