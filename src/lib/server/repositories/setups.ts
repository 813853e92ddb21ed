import { STEP_KEYS, type StepKey } from '$lib/core';
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

/** All set-ups, newest last. */
export const listSetups = async (db: Knex): Promise<SetupRow[]> =>
	z.array(Row).parse(await db('setups').select(COLUMNS).orderBy('created_at').orderBy('id'));

export const findSetup = async (db: Knex, id: string): Promise<SetupRow | undefined> =>
	Row.optional().parse(await db('setups').where({ id }).first(COLUMNS));

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

const Tick = z.object({ setup_id: z.string(), step: z.enum(STEP_KEYS) });

/** Ticked steps of every set-up, or of one. */
export async function listTicks(db: Knex, setupId?: string): Promise<Map<string, Set<StepKey>>> {
	const rows = await db('ticks')
		.select('setup_id', 'step')
		.modify((query) => (setupId === undefined ? query : query.where({ setup_id: setupId })));
	const bySetup = new Map<string, Set<StepKey>>();
	for (const { setup_id, step } of z.array(Tick).parse(rows))
		bySetup.set(setup_id, (bySetup.get(setup_id) ?? new Set<StepKey>()).add(step));
	return bySetup;
}

export async function setTick(
	db: Knex,
	setupId: string,
	step: StepKey,
	done: boolean,
	now: string
): Promise<void> {
	if (done)
		await db('ticks')
			.insert({ setup_id: setupId, step, ticked_at: now })
			.onConflict(['setup_id', 'step'])
			.ignore();
	else await db('ticks').where({ setup_id: setupId, step }).delete();
}

/** A finished job starts afresh next time. */
export async function clearTicks(db: Knex, setupId: string): Promise<void> {
	await db('ticks').where({ setup_id: setupId }).delete();
}
