import Database from 'better-sqlite3';
import { copyFileSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { fillDemo } from '../../../../demo/fill';
import { fileIn, openDatabase } from '../db/open';
import { valueOf } from '../outcome';
import { asked } from '../testing';
import { bringIn, exportArchive } from './archive';
import { readArchive, type Archive } from './archive-file';
import { readableRows, salvage } from './salvage';

let root: string;
let file: string;
let before: Archive;

function read(bytes: Uint8Array): Archive {
	const archive = readArchive(bytes);
	if (!archive.ok) throw new Error(JSON.stringify(archive.issues));
	return archive.value;
}
const textsOf = (rows: readonly object[] | undefined): Set<string> =>
	new Set((rows ?? []).map((row) => JSON.stringify(row)));

beforeAll(async () => {
	root = mkdtempSync(join(tmpdir(), 'wendle-salvaged-'));
	await fillDemo(join(root, 'kit'));
	const db = await openDatabase(join(root, 'kit'));
	before = read(await exportArchive(db));
	await db.destroy();
	file = fileIn(join(root, 'kit'));
});
afterAll(() => rmSync(root, { recursive: true, force: true }));

const PAGE = 4096;
/** A copy with some pages written over. */
function damaged(name: string, pages: readonly number[], filling = 0xa5): string {
	const path = join(root, name);
	copyFileSync(file, path);
	const bytes = readFileSync(path);
	for (const page of pages) bytes.fill(filling, page * PAGE, (page + 1) * PAGE);
	writeFileSync(path, bytes);
	return path;
}

describe('salvage', () => {
	it('of a file that is whole is everything', async () => {
		const { archive, tables } = await salvage(file);
		expect(read(archive).rows).toEqual(before.rows);
		for (const { name, read: rows, were } of tables) expect([name, were ?? rows]).toEqual([name, rows]);
	});

	it('reads the rows around a damaged stretch of a table', () => {
		const path = join(root, 'many.sqlite');
		const db = new Database(path);
		db.exec('create table t (id text primary key, body text)');
		const insert = db.prepare('insert into t values (?, ?)');
		db.transaction(() => {
			for (let i = 0; i < 2000; i++) insert.run(`row ${i}`, 'x'.repeat(200));
		})();
		db.close();
		const bytes = readFileSync(path);
		// A page in the middle: what lies on it is gone, and nothing else.
		bytes.fill(0, 40 * PAGE, 41 * PAGE);
		writeFileSync(path, bytes);
		const hurt = new Database(path, { readonly: true });
		expect(() => hurt.prepare('select * from t').all()).toThrow();
		const rows = readableRows(hurt, 't');
		hurt.close();
		expect(rows.length).toBeGreaterThan(1950);
		expect(rows.length).toBeLessThan(2000);
		expect(new Set(rows.map(({ id }) => id)).size).toBe(rows.length);
	});

	it('makes nothing up, and what it made can be brought in', async () => {
		const pages = Math.floor(statSync(file).size / PAGE);
		const random = xoroshiro128plus(20261201);
		let saved = 0;
		for (let round = 0; round < 6; round++) {
			const hurt = Array.from({ length: 3 }, () => uniformInt(random, 2, pages - 1));
			// Where not even the list of tables can be read, there is nothing to be had.
			const salvaged = await salvage(damaged(`hurt-${round}.sqlite`, hurt)).catch(() => undefined);
			if (!salvaged) continue;
			const after = read(salvaged.archive);
			for (const [table, rows] of Object.entries(after.rows)) {
				if (table === 'spools' || table === 'setups') continue;
				const known = textsOf(before.rows[table]);
				for (const row of textsOf(rows)) expect(known.has(row), `${table}: ${row}`).toBe(true);
				saved += rows.length;
			}
			const empty = await openDatabase(join(root, `empty-${round}`));
			expect(valueOf(await bringIn(empty, asked(), after, 'add')).rows).toBeGreaterThan(0);
			await empty.destroy();
		}
		const all = Object.values(before.rows).reduce((sum, rows) => sum + rows.length, 0);
		expect(saved).toBeGreaterThan(2 * all);
	}, 120_000);
});
