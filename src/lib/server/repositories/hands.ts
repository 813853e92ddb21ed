import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';

const Row = z
	.object({ winding: z.string(), material: z.string(), reset_at: z.string() })
	.transform(({ reset_at, ...hand }) => ({ ...hand, resetAt: reset_at }));
export type HandReset = z.output<typeof Row>;

export const listResets = async (db: Knex): Promise<HandReset[]> =>
	z.array(Row).parse(await db('hand_resets').select('winding', 'material', 'reset_at'));

export async function setReset(trx: Writing, winding: string, material: string, now: string): Promise<void> {
	await trx('hand_resets')
		.insert({ winding, material, reset_at: now })
		.onConflict(['winding', 'material'])
		.merge();
}

export async function clearReset(trx: Writing, winding: string, material: string): Promise<void> {
	await trx('hand_resets').where({ winding, material }).delete();
}

/** When each record was written, by its id. */
export async function recordTimes(db: Knex): Promise<Map<string, string>> {
	const rows = z
		.array(z.object({ id: z.string(), created_at: z.string() }))
		.parse(await db('records').select('id', 'created_at'));
	return new Map(rows.map(({ id, created_at }) => [id, created_at]));
}
