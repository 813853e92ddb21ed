import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';

const ONE = { id: 1 } as const;

/** The address that somebody gave; undefined where nobody did. */
export const findAddress = async (db: Knex): Promise<string | undefined> =>
	z
		.object({ origin: z.string() })
		.optional()
		.parse(await db('address').where(ONE).first('origin'))?.origin;

export async function putAddress(trx: Writing, origin: string | undefined): Promise<void> {
	if (origin === undefined) await trx('address').where(ONE).delete();
	else
		await trx('address')
			.insert({ ...ONE, origin })
			.onConflict('id')
			.merge();
}
