import type { Knex } from 'knex';
import {
	copyFileSync,
	mkdtempSync,
	renameSync,
	rmSync,
	statSync,
	truncateSync,
	writeFileSync
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { jpegOf } from '../testing';
import { done, gone } from '../outcome';
import { insertPhoto } from '../repositories/photos';
import { closeDatabase, database } from './index';
import { fileIn, openDatabase } from './open';
import { troubleBehind } from './trouble';
import { write } from './write';

let directory: string;
let db: Knex;
beforeEach(async () => {
	directory = mkdtempSync(join(tmpdir(), 'wendle-write-'));
	db = await openDatabase(directory);
});
afterEach(async () => {
	await db.destroy();
	rmSync(directory, { recursive: true, force: true });
});

const photo = jpegOf(4, 3);
const photos = async (): Promise<string[]> =>
	((await db('photos').select('id').orderBy('id')) as { id: string }[]).map(({ id }) => id);
const keep = (id: string, writeId = `write-${id}`, digest?: string) =>
	write(db, { id: writeId, ...(digest !== undefined && { digest }) }, async (trx, now) => {
		await insertPhoto(trx, id, photo, now);
		return done({ kept: id, at: now });
	});

describe('a write', () => {
	it('asked twice under one id answers the same, and is done once', async () => {
		let times = 0;
		const once = () =>
			write(db, { id: 'the-same-write' }, async (trx, now) => {
				times += 1;
				await insertPhoto(trx, `photo-${times}`, photo, now);
				return done({ times });
			});
		expect(await Promise.all([once(), once(), once()])).toEqual(Array(3).fill(done({ times: 1 })));
		expect(await photos()).toEqual(['photo-1']);
	});

	it('whose id was used for something else is refused, and brings what that one came to', async () => {
		const first = await keep('a', 'write-once', 'asked for a');
		expect(await keep('a', 'write-once', 'asked for a')).toEqual(first);
		const other = await keep('b', 'write-once', 'asked for b');
		expect(other).toMatchObject({ ok: false, refusal: { kind: 'used', answer: { kept: 'a' } } });
		expect(await photos()).toEqual(['a']);
	});

	it('that is refused undoes what it had begun, and can be asked again', async () => {
		const refused = await write(db, { id: 'refused-write' }, async (trx, now) => {
			await insertPhoto(trx, 'half', photo, now);
			return gone('album');
		});
		expect(refused).toEqual(gone('album'));
		expect(await photos()).toEqual([]);
		expect((await keep('whole', 'refused-write')).ok).toBe(true);
	});

	it('that falls over half way leaves nothing, and the same write is then done whole', async () => {
		await db.raw(`create trigger falls before insert on photos when new.id = 'second'
			begin select raise(abort, 'disk I/O error'); end`);
		const both = () =>
			write(db, { id: 'both-or-none' }, async (trx, now) => {
				await insertPhoto(trx, 'first', photo, now);
				await insertPhoto(trx, 'second', photo, now);
				return done(null);
			});
		await expect(both()).rejects.toThrow('disk I/O error');
		expect(await photos()).toEqual([]);
		await db.raw('drop trigger falls');
		expect(await both()).toEqual(done(null));
		expect(await photos()).toEqual(['first', 'second']);
	});

	it('is the only thing that a repository writes for', () => {
		// @ts-expect-error the open database is no transaction of a write
		void ((): Promise<void> => insertPhoto(db, 'x', photo, ''));
		void (() =>
			// @ts-expect-error a transaction that somebody opened otherwise is none either
			db.transaction((trx) => insertPhoto(trx, 'x', photo, '')));
	});
});

describe('a data file that goes away under an open database', () => {
	const path = (): string => fileIn(directory);

	it('is noticed: nothing is written, and it goes on when the file is back', async () => {
		renameSync(path(), `${path()}.away`);
		await expect(keep('lost')).rejects.toMatchObject({ code: 'data_gone' });
		renameSync(`${path()}.away`, path());
		expect((await keep('found')).ok).toBe(true);
		expect(await photos()).toEqual(['found']);
	});

	it('and is replaced by a copy is noticed as well', async () => {
		copyFileSync(path(), `${path()}.copy`);
		renameSync(`${path()}.copy`, path());
		await expect(keep('lost')).rejects.toMatchObject({ code: 'data_replaced' });
	});

	it('while a write is under way: it is not acknowledged', async () => {
		const away = write(db, { id: 'under-way' }, async (trx, now) => {
			await insertPhoto(trx, 'a', photo, now);
			renameSync(path(), `${path()}.away`);
			return done(null);
		});
		await expect(away).rejects.toMatchObject({ code: 'data_gone' });
	});
});

describe('a data file that cannot be used says what it is and what to do', () => {
	const path = (): string => fileIn(directory);
	const opened = async (): Promise<Knex> => {
		const open = await openDatabase(directory);
		await open.destroy();
		return open;
	};

	it('empty: not taken for an empty rack', async () => {
		await db.destroy();
		truncateSync(path(), 0);
		await expect(opened()).rejects.toMatchObject({ code: 'data_empty' });
		expect(statSync(path()).size).toBe(0);
	});
	it('damaged', async () => {
		await db.destroy();
		writeFileSync(path(), 'this is no database, and never was one '.repeat(400));
		await expect(opened()).rejects.toMatchObject({ code: 'data_damaged' });
	});
	it('made by a newer version', async () => {
		await db('knex_migrations').insert({ name: '999-later', batch: 99, migration_time: '' });
		await db.destroy();
		await expect(opened()).rejects.toMatchObject({ code: 'data_newer' });
	});
	it('in a place that is no folder', async () => {
		const file = join(directory, 'file');
		writeFileSync(file, '');
		await expect(openDatabase(file)).rejects.toMatchObject({ code: 'data_unopened' });
	});
	it('full, read-only or busy', async () => {
		const { pageCount } = ((await db.raw('pragma page_count')) as { pageCount: number }[])[0]!;
		await db.raw(`pragma max_page_count = ${pageCount}`);
		const big = async (): Promise<unknown> =>
			write(db, { id: 'big-write' }, async (trx, now) => {
				await insertPhoto(trx, 'big', new Uint8Array(500_000), now);
				return done(null);
			});
		const full: unknown = await big().catch((error: unknown) => error);
		expect(troubleBehind(full, path()), String(full)).toMatchObject({ code: 'data_full' });
		await db.raw('pragma max_page_count = 1000000');
		await db.raw('pragma query_only = on');
		const readOnly: unknown = await big().catch((error: unknown) => error);
		expect(troubleBehind(readOnly, path())).toMatchObject({ code: 'data_read_only' });
		expect(troubleBehind(new TypeError('a mistake of ours'), path())).toBeUndefined();
		expect(troubleBehind(readOnly, path())!.message).toContain(path());
	});
});

describe('the one database', () => {
	beforeEach(() => vi.stubEnv('WENDLE_DATA', join(directory, 'own')));
	afterEach(async () => {
		await closeDatabase().catch(() => undefined);
		vi.unstubAllEnvs();
	});

	it('that could not be opened is tried again, and not for good given up', async () => {
		writeFileSync(join(directory, 'own'), 'in the way');
		await expect(database()).rejects.toMatchObject({ code: 'data_unopened' });
		rmSync(join(directory, 'own'));
		expect(await (await database())('spools').select('id')).toEqual([]);
	});

	it('is not made anew where it was once there', async () => {
		await database();
		rmSync(join(directory, 'own'), { recursive: true });
		await expect(database()).rejects.toMatchObject({ code: 'data_gone' });
		await expect(database()).rejects.toMatchObject({ code: 'data_gone' });
		expect(statSync(join(directory, 'own'), { throwIfNoEntry: false })).toBeUndefined();
	});
});
