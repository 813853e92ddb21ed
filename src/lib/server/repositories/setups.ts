import { FillForm } from '$lib/schema/setup';
import type { Knex } from 'knex';
import { z } from 'zod';
import { json } from './columns';

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
	z.array(Row).parse(await living(db).select(COLUMNS).orderBy('created_at').orderBy('id'));

export const findSetup = async (db: Knex, id: string): Promise<SetupRow | undefined> =>
	Row.optional().parse(await living(db).where({ id }).first(COLUMNS));

export async function insertSetup(
	db: Knex,
	setup: { id: string; spoolId: string; fill: FillForm },
	now: string
): Promise<void> {
	await db('setups').insert({
		id: setup.id,
		spool_id: setup.spoolId,
		fill: JSON.stringify(setup.fill),
		version: 1,
		created_at: now,
		updated_at: now
	});
}

/** Writes only over the version the writer had seen; false when another write came between. */
export async function updateSetup(
	db: Knex,
	setup: { id: string; fill: FillForm; version: number },
	now: string
): Promise<boolean> {
	const changed = await db('setups')
		.where({ id: setup.id, version: setup.version })
		.update({ fill: JSON.stringify(setup.fill), version: setup.version + 1, updated_at: now });
	return changed > 0;
}

/** Drops a plan, or takes it up again: nothing of it is lost. */
export const markDropped = async (db: Knex, id: string, droppedAt: string | null): Promise<boolean> =>
	(await db('setups').where({ id }).update({ dropped_at: droppedAt })) > 0;
