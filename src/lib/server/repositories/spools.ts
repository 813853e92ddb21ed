import { SpoolForm } from '$lib/setup/form';
import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';
import { json, jsonText, readRow, readRows } from './columns';
import { keepFormer } from './former';

const Row = z
	.object({ id: z.string(), form: json(SpoolForm), version: z.number().int(), created_at: z.string() })
	.transform(({ created_at, ...row }) => ({ ...row, createdAt: created_at }));
export type SpoolRow = z.output<typeof Row>;

const COLUMNS = ['id', 'form', 'version', 'created_at'];
const living = (db: Knex): Knex.QueryBuilder => db('spools').whereNull('deleted_at');

export const listSpools = async (db: Knex): Promise<SpoolRow[]> =>
	readRows(db, 'spools', Row, await living(db).select(COLUMNS).orderBy('created_at').orderBy('id'));

export const findSpool = async (db: Knex, id: string): Promise<SpoolRow | undefined> =>
	readRow(db, 'spools', Row, await living(db).where({ id }).first(COLUMNS));

export async function insertSpool(trx: Writing, id: string, form: SpoolForm, now: string): Promise<void> {
	await trx('spools').insert({ id, form: jsonText(SpoolForm, form, 'form', 'spool'), created_at: now });
}

/** Writes a spool over the version that was read; that one is kept as a former one. */
export async function updateSpool(
	trx: Writing,
	before: Pick<SpoolRow, 'id' | 'version' | 'form'>,
	form: SpoolForm,
	now: string
): Promise<void> {
	const { id, version } = before;
	await keepFormer(trx, 'spools', { id, version, text: JSON.stringify(before.form) }, now);
	await trx('spools')
		.where({ id })
		.update({ form: jsonText(SpoolForm, form, 'form', 'spool'), version: version + 1 });
}

/** Takes a spool off the rack, or puts it back: nothing of it is lost. */
export const markSpoolDeleted = async (
	trx: Writing,
	id: string,
	deletedAt: string | null
): Promise<boolean> => (await trx('spools').where({ id }).update({ deleted_at: deletedAt })) > 0;
