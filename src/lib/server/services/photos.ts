import { imageSize } from 'image-size';
import type { Knex } from 'knex';
import { ROWS_HAVE_IDS, write, type WriteId } from '../db/write';
import { done, gone, refused, type Outcome, type Refusal } from '../outcome';
import {
	dropPhotos,
	findPhoto,
	insertPhoto,
	isPhoto,
	listPhotoIds,
	markPhoto,
	photoBytes
} from '../repositories/photos';

/** Longest side that is taken, px: browsers make photos smaller than this before they send them. */
const LONGEST_PX = 4096;
/** Room for photos, MB, unless WENDLE_PHOTOS_MB says otherwise. */
const ROOM_MB = 1000;
const MB = 1_000_000;
/** A deleted photo can be brought back for so long, days. */
const BACK_WITHIN_DAYS = 30;
const DAY_MS = 86_400_000;

const room = (): number => Number(process.env['WENDLE_PHOTOS_MB'] || ROOM_MB) * MB;

const bad = (code: string, message: string): Refusal => ({
	kind: 'bad',
	issues: [{ code, path: [], message }]
});

/** What is wrong with a picture, by what its own header says. */
function wrongWith(bytes: Uint8Array): Refusal | undefined {
	let size: ReturnType<typeof imageSize>;
	try {
		size = imageSize(bytes);
	} catch {
		return bad('not_a_jpeg', "Wendle can't read this as a picture. Send it as JPEG.");
	}
	if (size.type !== 'jpg') return bad('not_a_jpeg', 'Send the picture as JPEG.');
	if (!(size.width > 0 && size.height > 0)) return bad('not_a_jpeg', 'This picture has no size.');
	return Math.max(size.width, size.height) > LONGEST_PX
		? bad(
				'too_many_pixels',
				`This picture is ${size.width} × ${size.height} pixels. Make its longer side at most ${LONGEST_PX} first.`
			)
		: undefined;
}

/** Keeps a photo under the sender's own id. One that is there already, deleted or not, stays as it is. */
export const keepPhoto = (db: Knex, id: string, bytes: Uint8Array): Promise<Outcome<null>> =>
	write(db, ROWS_HAVE_IDS, async (trx, now) => {
		const wrong = wrongWith(bytes);
		if (wrong) return refused(wrong);
		await dropPhotos(trx, new Date(Date.now() - BACK_WITHIN_DAYS * DAY_MS).toISOString());
		if (!(await isPhoto(trx, id)) && (await photoBytes(trx)) + bytes.byteLength > room())
			return refused(
				bad(
					'photos_full',
					`There is no room for more photos: they take ${Math.round(room() / MB)} MB already. Delete some under Past windings, or give them more room (WENDLE_PHOTOS_MB).`
				)
			);
		await insertPhoto(trx, id, bytes, now);
		return done(null);
	});

export const photo = (db: Knex, id: string): Promise<Uint8Array<ArrayBuffer> | undefined> =>
	findPhoto(db, id);

export const photoIds = (db: Knex): Promise<string[]> => listPhotoIds(db);

/** Deletes a photo, or brings it back: it is deleted for good some weeks later. */
const marked =
	(deleted: boolean) =>
	(db: Knex, asked: WriteId, id: string): Promise<Outcome<null>> =>
		write(db, asked, async (trx, now) =>
			(await markPhoto(trx, id, deleted ? now : null)) ? done(null) : gone('photo')
		);
export const deletePhoto = marked(true);
export const restorePhoto = marked(false);
