import { SpoolForm } from '$lib/schema/setup';
import type { Knex } from 'knex';
import { z } from 'zod';
import { json } from './columns';

const Row = z
	.object({ id: z.string(), form: json(SpoolForm), created_at: z.string() })
	.transform(({ created_at, ...row }) => ({ ...row, createdAt: created_at }));
export type SpoolRow = z.output<typeof Row>;

const COLUMNS = ['id', 'form', 'created_at'];
const living = (db: Knex): Knex.QueryBuilder => db('spools').whereNull('deleted_at');

export const listSpools = async (db: Knex): Promise<SpoolRow[]> =>
	z.array(Row).parse(await living(db).select(COLUMNS).orderBy('created_at').orderBy('id'));

export const findSpool = async (db: Knex, id: string): Promise<SpoolRow | undefined> =>
	Row.optional().parse(await living(db).where({ id }).first(COLUMNS));

export async function insertSpool(db: Knex, id: string, form: SpoolForm, now: string): Promise<void> {
	await db('spools').insert({ id, form: JSON.stringify(form), created_at: now });
}

export async function updateSpool(db: Knex, id: string, form: SpoolForm): Promise<void> {
	await db('spools')
		.where({ id })
		.update({ form: JSON.stringify(form) });
}

/** Takes a spool off the rack, or puts it back: nothing of it is lost. */
export const markSpoolDeleted = async (db: Knex, id: string, deletedAt: string | null): Promise<boolean> =>
	(await db('spools').where({ id }).update({ deleted_at: deletedAt })) > 0;
