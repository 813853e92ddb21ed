import { SpoolForm } from '$lib/setup/form';
import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';
import { json, jsonText, readRow, readRows } from './columns';
import { keepFormer } from './former';

export const SpoolRow = z.object({
	id: z.string(),
	form: json(SpoolForm),
	version: z.number().int(),
	createdAt: z.string()
});
export type SpoolRow = z.output<typeof SpoolRow>;

export const SPOOL_COLUMNS = ['id', 'form', 'version', 'createdAt'];
const living = (db: Knex): Knex.QueryBuilder => db('spools').whereNull('deletedAt');

export const listSpools = async (db: Knex): Promise<SpoolRow[]> =>
	readRows(db, 'spools', SpoolRow, await living(db).select(SPOOL_COLUMNS).orderBy('createdAt').orderBy('id'));

export const findSpool = async (db: Knex, id: string): Promise<SpoolRow | undefined> =>
	readRow(db, 'spools', SpoolRow, await living(db).where({ id }).first(SPOOL_COLUMNS));

export async function insertSpool(trx: Writing, id: string, form: SpoolForm, now: string): Promise<void> {
	await trx('spools').insert({ id, form: jsonText(SpoolForm, form, 'form', 'spool'), createdAt: now });
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
): Promise<boolean> => (await trx('spools').where({ id }).update({ deletedAt: deletedAt })) > 0;
