import { readDay } from '$lib/core';
import { newSetup } from '$lib/setup/presets';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import type { Knex } from 'knex';
import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { fillDemo } from '../../../../demo/fill';
import { openDatabase } from '../db/open';
import { valueOf } from '../outcome';
import { bringIn, exportArchive, previewArchive, undoImport } from './archive';
import { readArchive, type Archive } from './archive-file';
import { care } from './care';
import { keepPhoto } from './photos';
import { asked, create, jpegOf } from '../testing';
import { rack, removeSpool } from './setups';

const TODAY = readDay('2026-11-28')!;
const JPEG = jpegOf(40, 60);

let root: string;
const open: Knex[] = [];
beforeEach(() => (root = mkdtempSync(join(tmpdir(), 'wendle-archive-'))));
afterEach(async () => {
	for (const db of open.splice(0)) await db.destroy();
	rmSync(root, { recursive: true, force: true });
});

async function opened(name: string, demo = false): Promise<Knex> {
	if (demo) await fillDemo(join(root, name));
	const db = await openDatabase(join(root, name));
	open.push(db);
	return db;
}
function read(bytes: Uint8Array): Archive {
	const archive = readArchive(bytes);
	if (!archive.ok) throw new Error(JSON.stringify(archive.issues));
	return archive.value;
}
const archiveOf = async (db: Knex): Promise<Archive> => read(await exportArchive(db));
/** Everything but the moment it was made. */
const contentOf = async (db: Knex) => {
	const { rows, photos } = await archiveOf(db);
	return { rows, photos: [...photos] };
};

describe('an archive', () => {
	it('moves everything to an empty server, which is then the same, and brought in again changes nothing', async () => {
		const kitRoom = await opened('kit-room', true);
		await keepPhoto(kitRoom, 'photo-1', JPEG);
		await kitRoom('careRules').insert({ id: 7, rules: 'no JSON', version: 1 });
		const archive = await archiveOf(kitRoom);
		const empty = await opened('empty');
		const preview = await previewArchive(empty, archive);
		expect(preview.photos).toEqual({ fresh: 1, same: 0 });
		expect(preview.changes.find(({ file }) => file === 'spools')).toMatchObject({ fresh: 8, same: 0 });
		const { rows } = valueOf(await bringIn(empty, asked(), archive, 'add'));
		expect(rows).toBeGreaterThan(100);
		expect(await contentOf(empty)).toEqual(await contentOf(kitRoom));
		expect(await rack(empty)).toEqual(await rack(kitRoom));
		expect(await care(empty, TODAY)).toEqual(await care(kitRoom, TODAY));
		expect(valueOf(await bringIn(empty, asked(), archive, 'replace'))).toMatchObject({ rows: 0, photos: 0 });
	});

	it('says first what it will do, takes what is newer, and what conflicts only when it is told to', async () => {
		const here = await opened('here');
		const { spoolId } = await create(here, newSetup(), 'yd-mm');
		const before = await archiveOf(here);
		const name = (archive: Archive, name: string, version: number): Archive => ({
			...archive,
			rows: {
				...archive.rows,
				spools: archive.rows['spools']!.map((row) => ({
					...row,
					form: { ...(row['form'] as object), name },
					version
				}))
			}
		});
		const names = async () => (await rack(here)).map(({ form }) => form.name);
		const newer = name(before, 'Newer', 5);
		expect((await previewArchive(here, newer)).changes[0]).toMatchObject({ newer: 1, conflicting: 0 });
		expect(await names()).toEqual(['']);
		valueOf(await bringIn(here, asked(), newer, 'add'));
		expect(await names()).toEqual(['Newer']);
		const older = name(before, 'Other', 5);
		expect((await previewArchive(here, older)).changes[0]).toMatchObject({
			newer: 0,
			conflicting: 1,
			names: ['Newer']
		});
		valueOf(await bringIn(here, asked(), older, 'add'));
		expect(await names()).toEqual(['Newer']);
		const { id } = valueOf(await bringIn(here, asked(), older, 'replace'));
		expect(await names()).toEqual(['Other']);
		valueOf(await undoImport(here, asked(), id, true));
		expect(await names()).toEqual(['Newer']);
		valueOf(await undoImport(here, asked(), id, false));
		expect(await names()).toEqual(['Other']);
		// What was changed since is not undone.
		valueOf(await removeSpool(here, asked(), spoolId));
		expect(await undoImport(here, asked(), id, true)).toMatchObject({ ok: false });
	});

	it('is undone as a whole, unless something here hangs on it by now', async () => {
		const archive = await archiveOf(await opened('kit-room', true));
		const here = await opened('here');
		await create(here, newSetup(), 'yd-mm');
		const before = await contentOf(here);
		const { id } = valueOf(await bringIn(here, asked(), archive, 'add'));
		valueOf(await undoImport(here, asked(), id, true));
		expect(await contentOf(here)).toEqual(before);
		valueOf(await undoImport(here, asked(), id, false));
		const { id: spoolId, form } = (await rack(here))[1]!;
		await create(here, newSetup(form), 'yd-mm', { spoolId });
		const used = await contentOf(here);
		expect(await undoImport(here, asked(), id, true)).toMatchObject({ ok: false });
		expect(await contentOf(here)).toEqual(used);
	});

	it('that is damaged, newer, not whole, or no archive says what to do, and nothing is written', async () => {
		const bytes = await exportArchive(await opened('kit-room', true));
		const files = unzipSync(bytes);
		const digest = (text: Uint8Array) => createHash('sha256').update(text).digest('hex');
		const changed = (edit: (files: Record<string, Uint8Array>) => void, signs = true): Uint8Array => {
			const copy = { ...files };
			edit(copy);
			const manifest = JSON.parse(strFromU8(copy['manifest.json']!)) as { files: Record<string, string> };
			if (signs)
				manifest.files = Object.fromEntries(
					Object.keys(manifest.files).map((name) => [name, digest(copy[name] ?? new Uint8Array())])
				);
			return zipSync({ ...copy, 'manifest.json': strToU8(JSON.stringify(manifest)) });
		};
		const said = (archive: Uint8Array): string => {
			const came = readArchive(archive);
			return came.ok ? 'fine' : came.issues[0]!.message;
		};
		const spools = strFromU8(files['spools.jsonl']!);
		expect(said(strToU8('not a zip'))).toMatch(/isn't an archive/);
		expect(said(bytes.slice(0, bytes.length / 2))).toMatch(/isn't an archive/);
		expect(said(zipSync({ 'other.txt': strToU8('hello') }))).toMatch(/isn't an archive/);
		expect(said(changed((copy) => (copy['spools.jsonl'] = strToU8(spools.slice(1))), false))).toMatch(
			/spools\.jsonl in this archive is damaged/
		);
		expect(
			said(
				changed(
					(copy) => (copy['spools.jsonl'] = strToU8(spools.replace(/"version":\d+/, '"version":"two"')))
				)
			)
		).toMatch(/^Line 1 of spools\.jsonl: /);
		expect(
			said(
				changed(
					(copy) =>
						(copy['manifest.json'] = strToU8(
							strFromU8(copy['manifest.json']!).replace('"version": 1', '"version": 2')
						))
				)
			)
		).toMatch(/newer version/);
		const here = await opened('here');
		const orphans = read(changed((copy) => (copy['spools.jsonl'] = new Uint8Array())));
		expect(await bringIn(here, asked(), orphans, 'add')).toMatchObject({ ok: false });
		expect(await rack(here)).toEqual([]);
	});
});
