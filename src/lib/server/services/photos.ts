import type { Knex } from 'knex';
import { ROWS_HAVE_IDS, write } from '../db/write';
import { done, refused, type Outcome, type Refusal } from '../outcome';
import { findPhoto, insertPhoto } from '../repositories/photos';

/** What a JPEG file begins with. */
const JPEG_START = [0xff, 0xd8, 0xff];

const NOT_A_JPEG: Refusal = {
	kind: 'bad',
	issues: [{ code: 'not_a_jpeg', path: [], message: 'Send the picture as JPEG.' }]
};

/** Keeps a photo under the sender's own id. */
export const keepPhoto = (db: Knex, id: string, bytes: Uint8Array): Promise<Outcome<null>> =>
	write(db, ROWS_HAVE_IDS, async (trx, now) => {
		if (!JPEG_START.every((byte, i) => bytes[i] === byte)) return refused(NOT_A_JPEG);
		await insertPhoto(trx, id, bytes, now);
		return done(null);
	});

export const photo = (db: Knex, id: string): Promise<Uint8Array<ArrayBuffer> | undefined> =>
	findPhoto(db, id);
