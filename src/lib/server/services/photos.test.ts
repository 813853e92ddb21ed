import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Knex } from 'knex';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { openDatabase } from '../db/open';
import { asked, jpegOf } from '../testing';
import { deletePhoto, keepPhoto, photo, photoIds, restorePhoto } from './photos';

let data: string;
let db: Knex;
beforeEach(async () => {
	data = mkdtempSync(join(tmpdir(), 'wendle-photos-'));
	db = await openDatabase(data);
});
afterEach(async () => {
	vi.unstubAllEnvs();
	vi.useRealTimers();
	await db.destroy();
	rmSync(data, { recursive: true, force: true });
});

const codeOf = async (bytes: Uint8Array, id = 'p'): Promise<string | undefined> => {
	const outcome = await keepPhoto(db, id, bytes);
	if (outcome.ok) return undefined;
	return outcome.refusal.kind === 'bad' ? outcome.refusal.issues[0]!.code : outcome.refusal.kind;
};

describe('a photo', () => {
	it('is judged by its header: what it is, and how large', async () => {
		expect(await codeOf(jpegOf(1600, 1200))).toBeUndefined();
		expect(await codeOf(jpegOf(65_500, 65_500))).toBe('too_many_pixels');
		expect(await codeOf(jpegOf(100, 4097))).toBe('too_many_pixels');
		expect(await codeOf(jpegOf(0, 10))).toBe('not_a_jpeg');
		expect(await codeOf(Uint8Array.of(0xff, 0xd8, 0xff, 0xe0, 1, 2, 3))).toBe('not_a_jpeg');
		expect(
			await codeOf(new TextEncoder().encode('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'))
		).toBe('not_a_jpeg');
		expect(await codeOf(new Uint8Array())).toBe('not_a_jpeg');
	});

	it('has room as long as there is some, and one that is there already takes no more', async () => {
		const jpeg = jpegOf(10, 10);
		vi.stubEnv('WENDLE_PHOTOS_MB', String((2.5 * jpeg.byteLength) / 1e6));
		expect(await codeOf(jpeg, 'a')).toBeUndefined();
		expect(await codeOf(jpeg, 'b')).toBeUndefined();
		expect(await codeOf(jpeg, 'c')).toBe('photos_full');
		expect(await codeOf(jpeg, 'b')).toBeUndefined();
		await deletePhoto(db, asked(), 'a');
		expect(await codeOf(jpeg, 'c')).toBeUndefined();
	});

	it('is deleted, brought back, and some weeks later gone for good', async () => {
		await keepPhoto(db, 'a', jpegOf(10, 10));
		expect((await deletePhoto(db, asked(), 'a')).ok).toBe(true);
		expect((await deletePhoto(db, asked(), 'a')).ok).toBe(false);
		expect(await photo(db, 'a')).toBeUndefined();
		// Sent once more by a browser that did not hear of it, it stays deleted.
		await keepPhoto(db, 'a', jpegOf(10, 10));
		expect(await photoIds(db)).toEqual([]);
		expect((await restorePhoto(db, asked(), 'a')).ok).toBe(true);
		expect(await photo(db, 'a')).toEqual(jpegOf(10, 10));
		await deletePhoto(db, asked(), 'a');
		vi.useFakeTimers({ now: Date.now() + 31 * 86_400_000, toFake: ['Date'] });
		await keepPhoto(db, 'b', jpegOf(10, 10));
		expect((await restorePhoto(db, asked(), 'a')).ok).toBe(false);
	});
});
