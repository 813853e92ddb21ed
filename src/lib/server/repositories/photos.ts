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

/** A photo that is there and was not deleted. */
export async function findPhoto(db: Knex, id: string): Promise<Uint8Array<ArrayBuffer> | undefined> {
	const row = z
		.object({ jpeg: z.instanceof(Buffer) })
		.optional()
		.parse(await db('photos').where({ id, deletedAt: null }).first('jpeg'));
	return row && new Uint8Array(row.jpeg);
}

/** Those that were not deleted. */
export const listPhotoIds = async (db: Knex): Promise<string[]> =>
	z
		.array(z.object({ id: z.string() }))
		.parse(await db('photos').where({ deletedAt: null }).select('id').orderBy('id'))
		.map(({ id }) => id);

/** Whether there is one under an id, deleted or not. */
export const isPhoto = async (db: Knex, id: string): Promise<boolean> =>
	(await db('photos').where({ id }).first('id')) !== undefined;

/** Room that photos take, bytes: those that were not deleted. */
export async function photoBytes(db: Knex): Promise<number> {
	const row: unknown = await db('photos')
		.where({ deletedAt: null })
		.sum({ bytes: db.raw('length(jpeg)') })
		.first();
	return z.object({ bytes: z.number().nullable() }).parse(row).bytes ?? 0;
}

/** Marks a photo as deleted at a moment, or as there again with null. False when it was so already, or is not there. */
export const markPhoto = async (trx: Writing, id: string, deletedAt: string | null): Promise<boolean> =>
	(await trx('photos')
		.where({ id })
		.andWhere((row) => void (deletedAt === null ? row.whereNotNull('deletedAt') : row.whereNull('deletedAt')))
		.update({ deletedAt })) > 0;

/** Deletes for good what was deleted before a moment. */
export const dropPhotos = (trx: Writing, before: string): Promise<number> =>
	trx('photos').where('deletedAt', '<', before).delete();
