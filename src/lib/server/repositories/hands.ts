import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';

const Row = z.object({ winding: z.string(), material: z.string(), resetAt: z.string() });
export type HandReset = z.output<typeof Row>;

export const listResets = async (db: Knex): Promise<HandReset[]> =>
	z.array(Row).parse(await db('hand_resets').select('winding', 'material', 'resetAt'));

export async function setReset(trx: Writing, winding: string, material: string, now: string): Promise<void> {
	await trx('hand_resets')
		.insert({ winding, material, resetAt: now })
		.onConflict(['winding', 'material'])
		.merge();
}

export async function clearReset(trx: Writing, winding: string, material: string): Promise<void> {
	await trx('hand_resets').where({ winding, material }).delete();
}

/** When each record was written, by its id. */
export async function recordTimes(db: Knex): Promise<Map<string, string>> {
	const rows = z
		.array(z.object({ id: z.string(), createdAt: z.string() }))
		.parse(await db('records').select('id', 'createdAt'));
	return new Map(rows.map(({ id, createdAt }) => [id, createdAt]));
}
