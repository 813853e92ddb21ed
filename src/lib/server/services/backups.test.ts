import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import Database from 'better-sqlite3';
import { newSetup } from '$lib/setup/presets';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createSetup, rack } from './setups';
import { backupFile, isInUse, listBackups, makeBackup, readyToRestore } from '../db/backup';
import { fileIn, openDatabase } from '../db/open';

let directory: string;
beforeEach(() => (directory = mkdtempSync(join(tmpdir(), 'wendle-backup-'))));
afterEach(() => rmSync(directory, { recursive: true, force: true }));

const named = (name: string) => {
	const form = newSetup();
	form.spool.name = name;
	return form;
};
const names = async (at: string): Promise<string[]> => {
	const db = await openDatabase(at);
	try {
		return (await rack(db)).map(({ form }) => form.name);
	} finally {
		await db.destroy();
	}
};

describe('a backup', () => {
	it('is made while people work, is one whole file, and holds everything that was saved before', async () => {
		const db = await openDatabase(directory);
		try {
			await createSetup(db, { id: randomUUID() }, named('Alder'), 'yd-mm');
			const writes = Promise.all(
				['Birch', 'Cedar'].map((name) => createSetup(db, { id: randomUUID() }, named(name), 'yd-mm'))
			);
			const { name, bytes } = await makeBackup(directory);
			await writes;
			expect(bytes).toBeGreaterThan(0);
			expect(readdirSync(join(directory, 'backups'))).toEqual([name]);
			const elsewhere = mkdtempSync(join(directory, 'other-'));
			(await readyToRestore(elsewhere, backupFile(directory, name)!))();
			expect(await names(elsewhere)).toContain('Alder');
		} finally {
			await db.destroy();
		}
	});
	it('takes the place of what is there, whatever its log still holds', async () => {
		const db = await openDatabase(directory);
		await createSetup(db, { id: randomUUID() }, named('Alder'), 'yd-mm');
		const { name } = await makeBackup(directory);
		await createSetup(db, { id: randomUUID() }, named('Birch'), 'yd-mm');
		expect(isInUse(directory)).toBe(true);
		await db.destroy();
		expect(isInUse(directory)).toBe(false);
		expect(await names(directory)).toEqual(['Alder', 'Birch']);
		(await readyToRestore(directory, backupFile(directory, name)!))();
		expect(await names(directory)).toEqual(['Alder']);
	});
	it('that is damaged, empty, or no data of ours is refused, and nothing is touched', async () => {
		await (await openDatabase(directory)).destroy();
		const { name } = await makeBackup(directory);
		const good = readFileSync(backupFile(directory, name)!);
		const before = readFileSync(fileIn(directory));
		const damaged = Buffer.from(good);
		damaged.fill(0xaa, 4096, 16_384);
		const foreign = join(directory, 'foreign.sqlite');
		new Database(foreign).exec('create table fish (id)').close();
		for (const [bytes, said] of [
			[damaged, /is damaged/],
			[Buffer.from('no database at all, only words'.repeat(40)), /is damaged/],
			[Buffer.alloc(0), /is empty/],
			[readFileSync(foreign), /is not Wendle's data/]
		] as const) {
			const path = join(directory, 'other.sqlite');
			writeFileSync(path, bytes);
			await expect(readyToRestore(directory, path)).rejects.toThrow(said);
			expect(readFileSync(fileIn(directory)).equals(before)).toBe(true);
			expect(readdirSync(directory)).not.toContain('wendle.sqlite.restored');
		}
	});
	it('older than wanted goes when a new one is made; a name that is none leads nowhere', async () => {
		await (await openDatabase(directory)).destroy();
		for (const day of ['2026-03-02T10:00:00Z', '2026-03-02T15:00:00Z', '2026-11-28T10:00:00Z'])
			await makeBackup(directory, new Date(day));
		expect(listBackups(directory).map(({ madeAt }) => madeAt.toISOString().slice(0, 13))).toEqual([
			'2026-11-28T10',
			'2026-03-02T15'
		]);
		expect(backupFile(directory, '../wendle.sqlite')).toBeUndefined();
	});
});
