import { FillForm } from '$lib/setup/form';
import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';
import { json, jsonText, readRow, readRows } from './columns';
import { keepFormer } from './former';

export const SetupRow = z.object({
	id: z.string(),
	spoolId: z.string(),
	fill: json(FillForm),
	version: z.number().int(),
	updatedAt: z.string()
});
export type SetupRow = z.output<typeof SetupRow>;

export const SETUP_COLUMNS = ['id', 'spoolId', 'fill', 'version', 'updatedAt'];

const living = (db: Knex): Knex.QueryBuilder => db('setups').whereNull('droppedAt');

/** All set-ups, newest last. */
export const listSetups = async (db: Knex): Promise<SetupRow[]> =>
	readRows(db, 'setups', SetupRow, await living(db).select(SETUP_COLUMNS).orderBy('createdAt').orderBy('id'));

export const findSetup = async (db: Knex, id: string): Promise<SetupRow | undefined> =>
	readRow(db, 'setups', SetupRow, await living(db).where({ id }).first(SETUP_COLUMNS));

export async function insertSetup(
	trx: Writing,
	setup: { id: string; spoolId: string; fill: FillForm },
	now: string
): Promise<void> {
	await trx('setups').insert({
		id: setup.id,
		spoolId: setup.spoolId,
		fill: jsonText(FillForm, setup.fill, 'form', 'fill'),
		version: 1,
		createdAt: now,
		updatedAt: now
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
		.update({ fill: jsonText(FillForm, fill, 'form', 'fill'), version: version + 1, updatedAt: now });
}

/** The spool of a set-up, dropped or not; and the other set-ups on it that are not. */
export async function spoolOfSetup(
	db: Knex,
	id: string
): Promise<{ spoolId: string; others: number } | undefined> {
	const row = (await db('setups').where({ id }).first('spoolId')) as { spoolId: string } | undefined;
	if (!row) return undefined;
	const others = await living(db).where(row).whereNot({ id }).select('id');
	return { spoolId: row.spoolId, others: others.length };
}

/** Drops a plan, or takes it up again: nothing of it is lost. */
export const markDropped = async (trx: Writing, id: string, droppedAt: string | null): Promise<boolean> =>
	(await trx('setups').where({ id }).update({ droppedAt: droppedAt })) > 0;
