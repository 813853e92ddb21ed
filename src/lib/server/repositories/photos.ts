import type { Knex } from 'knex';
import { z } from 'zod';
import type { Writing } from '../db/write';

/** Keeps a photo under an id of the sender's; one that is there stays as it is. */
export async function insertPhoto(trx: Writing, id: string, jpeg: Uint8Array, now: string): Promise<void> {
	await trx('photos')
		.insert({ id, jpeg: Buffer.from(jpeg), createdAt: now })
		.onConflict('id')
		.ignore();
}

export async function findPhoto(db: Knex, id: string): Promise<Uint8Array<ArrayBuffer> | undefined> {
	const row = z
		.object({ jpeg: z.instanceof(Buffer) })
		.optional()
		.parse(await db('photos').where({ id }).first('jpeg'));
	return row && new Uint8Array(row.jpeg);
}

export const listPhotoIds = async (db: Knex): Promise<string[]> =>
	z
		.array(z.object({ id: z.string() }))
		.parse(await db('photos').select('id').orderBy('id'))
		.map(({ id }) => id);
