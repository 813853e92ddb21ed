import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';

/** How many former versions of a thing are kept: typing saves every half second. */
const MOST_FORMER = 50;

/** Keeps the text that a row had before it is written over. */
export async function keepFormer(
	trx: Writing,
	of: string,
	row: { id: string; version: number; text: string },
	now: string
): Promise<void> {
	await trx('former')
		.insert({ of, id: row.id, version: row.version, text: row.text, replacedAt: now })
		.onConflict(['of', 'id', 'version'])
		.merge();
	await trx('former')
		.where({ of, id: row.id })
		.where('version', '<=', row.version - MOST_FORMER)
		.delete();
}

/** The former texts of a row, newest first. */
export const listFormer = async (
	db: Knex,
	of: string,
	id: string
): Promise<{ version: number; text: string }[]> =>
	z
		.array(z.object({ version: z.number().int(), text: z.string() }))
		.parse(await db('former').where({ of, id }).select('version', 'text').orderBy('version', 'desc'));
