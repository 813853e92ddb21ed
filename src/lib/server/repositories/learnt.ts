import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';

const Row = z.object({ recordId: z.string() });

/** Ids of the windings that nothing is learnt from, in rising order. */
export const listLeftOut = async (db: Knex): Promise<string[]> =>
	z
		.array(Row)
		.parse(await db('left_out_windings').select('recordId').orderBy('recordId'))
		.map(({ recordId }) => recordId);

export async function leaveOut(trx: Writing, recordIds: readonly string[], out: boolean): Promise<void> {
	for (const recordId of recordIds)
		if (out) await trx('left_out_windings').insert({ recordId }).onConflict('recordId').ignore();
		else await trx('left_out_windings').where({ recordId }).delete();
}
