import type { Knex } from 'knex';
import { findPhoto, insertPhoto } from '../repositories/photos';

/** What a JPEG file begins with. */
const JPEG_START = [0xff, 0xd8, 0xff];

/** Keeps a photo. False when it is no JPEG. */
export async function keepPhoto(db: Knex, id: string, bytes: Uint8Array): Promise<boolean> {
	if (!JPEG_START.every((byte, i) => bytes[i] === byte)) return false;
	await insertPhoto(db, id, bytes, new Date().toISOString());
	return true;
}

export const photo = (db: Knex, id: string): Promise<Uint8Array<ArrayBuffer> | undefined> =>
	findPhoto(db, id);
