import { FillForm } from '$lib/setup/form';
import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';
import { json, jsonText, readRow, readRows } from './columns';
import { keepFormer } from './former';

const Row = z
	.object({
		id: z.string(),
		spool_id: z.string(),
		fill: json(FillForm),
		version: z.number().int(),
		updated_at: z.string()
	})
	.transform(({ spool_id, updated_at, ...row }) => ({ ...row, spoolId: spool_id, updatedAt: updated_at }));
export type SetupRow = z.output<typeof Row>;

const COLUMNS = ['id', 'spool_id', 'fill', 'version', 'updated_at'];

const living = (db: Knex): Knex.QueryBuilder => db('setups').whereNull('dropped_at');

/** All set-ups, newest last. */
export const listSetups = async (db: Knex): Promise<SetupRow[]> =>
	readRows(db, 'setups', Row, await living(db).select(COLUMNS).orderBy('created_at').orderBy('id'));

export const findSetup = async (db: Knex, id: string): Promise<SetupRow | undefined> =>
	readRow(db, 'setups', Row, await living(db).where({ id }).first(COLUMNS));

export async function insertSetup(
	trx: Writing,
	setup: { id: string; spoolId: string; fill: FillForm },
	now: string
): Promise<void> {
	await trx('setups').insert({
		id: setup.id,
		spool_id: setup.spoolId,
		fill: jsonText(FillForm, setup.fill, 'form', 'fill'),
		version: 1,
		created_at: now,
		updated_at: now
	});
}

/** Writes a set-up over the version that was read; that one is kept as a former one. */
export async function updateSetup(
	trx: Writing,
	before: Pick<SetupRow, 'id' | 'version' | 'fill'>,
	fill: FillForm,
	now: string
): Promise<void> {
	const { id, version } = before;
	await keepFormer(trx, 'setups', { id, version, text: JSON.stringify(before.fill) }, now);
	await trx('setups')
		.where({ id })
		.update({ fill: jsonText(FillForm, fill, 'form', 'fill'), version: version + 1, updated_at: now });
}

/** Drops a plan, or takes it up again: nothing of it is lost. */
export const markDropped = async (trx: Writing, id: string, droppedAt: string | null): Promise<boolean> =>
	(await trx('setups').where({ id }).update({ dropped_at: droppedAt })) > 0;
