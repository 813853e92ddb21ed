import type { Knex } from 'knex';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { dayOf } from '$lib/core';
import { openDatabase } from '../db/open';
import { runBegun } from '../services/runs';
import { loadSetup } from '../services/saved';
import { care } from '../services/care';
import { hands } from '../services/hands';
import { practice } from '../services/practice';
import { rack, saveSetup } from '../services/setups';
import { unreadable } from '../services/unreadable';
import { listWindings } from '../repositories/windings';
import { asked } from '../testing';
import { windingsOf } from '../services/windings';
import { writeDatabaseOf } from './older-testing';

let directory: string;
beforeEach(() => (directory = mkdtempSync(join(tmpdir(), 'wendle-migrate-'))));
afterEach(() => rmSync(directory, { recursive: true, force: true }));

describe('a database made by the version before', () => {
	const FILE = new URL('./made-by-009.sqlite.gz', import.meta.url);
	let db: Knex;
	beforeEach(async () => {
		writeFileSync(join(directory, 'wendle.sqlite'), gunzipSync(readFileSync(FILE)));
		db = await openDatabase(directory);
	});
	afterEach(() => db.destroy());
	const count = async (table: string): Promise<number> =>
		((await db(table).count({ n: '*' }).first()) as unknown as { n: number }).n;
	const today = dayOf('2026-11-27');

	it('opens with everything that was in it', async () => {
		const counts = {
			spools: 11,
			setups: 13,
			records: 9,
			runs: 9,
			run_events: 85,
			care_events: 52,
			brought: 1
		};
		for (const [table, n] of Object.entries(counts)) expect([table, await count(table)]).toEqual([table, n]);
		const spools = await rack(db);
		expect(spools.map(({ form }) => form.name).toSorted()).toEqual([
			'Beck reel, grayling',
			'Beck reel, spare spool',
			'Estuary reel, sea-run char',
			'Loan box, junior',
			'Long rod, sea-run char',
			'New arrival, boxed',
			'Tarn reel A, char',
			'Tarn reel B, sinker',
			'Very long number',
			'Wound twice, once taken back'
		]);
		expect(spools.flatMap(({ setupId }) => (setupId === undefined ? [] : [setupId]))).toHaveLength(10);
		const { entries, usual, rules } = await care(db, today);
		expect(entries).toHaveLength(14);
		expect([usual, rules]).toEqual([false, [{ job: 'clean', kinds: ['line'], everyDays: 90 }]]);
		expect((await hands(db)).some(({ fills }) => fills.some(({ counts }) => !counts))).toBe(true);
		const { windsOn, knots } = await practice(db);
		expect([windsOn, knots.filter(({ sessions }) => sessions > 0)]).toMatchObject([
			'2027-03-01',
			{ length: 4 }
		]);
	});

	it('has nothing in it that does not read: numbers that outgrew their field are as they were typed', async () => {
		await rack(db);
		await care(db, today);
		expect(await unreadable(db)).toEqual([]);
		const long = (await rack(db)).find(({ form }) => form.name === 'Very long number')!;
		expect(long.form.rim).toBe(`84${'0'.repeat(57)}`);
		const records = (await listWindings(db)).filter(({ typed }) => typed.note === 'long depth');
		expect(records.map(({ typed }) => typed.depth)).toEqual([`0.${'0'.repeat(57)}1`]);
	});

	it('knows which run a winding ended, and goes on in the one that was open', async () => {
		const twice = (await rack(db)).find(({ form }) => form.name === 'Wound twice, once taken back')!;
		const ended = (await db('runs').where({ setup_id: twice.setupId }).orderBy('id')) as Record<
			string,
			unknown
		>[];
		const first = (await listWindings(db)).find(({ typed }) => typed.note === 'first')!;
		expect(ended[0]).toMatchObject({ id: 'old-run-0001', recordId: first.id });
		// The last winding was written down after the second run had begun, and ended it.
		const last = (await listWindings(db)).find(({ typed }) => typed.note === 'long depth')!;
		expect(ended[1]).toMatchObject({ id: 'old-run-0002', recordId: last.id });
		const sinker = (await rack(db)).find(({ form }) => form.name === 'Tarn reel B, sinker')!;
		expect(sinker.planned!.done).toHaveLength(6);
	});

	it('is saved over from where it was: its versions go on', async () => {
		const { setupId } = (await rack(db))[0]!;
		const { form, version } = (await loadSetup(db, setupId!))!;
		const changed = { ...form, fill: { ...form.fill, gap: '6 mm' } };
		expect(await saveSetup(db, asked(), setupId!, changed, version, 'yd-mm')).toEqual({
			ok: true,
			value: { version: version + 1 }
		});
	});
});

it('a database from before stacks opens, with everything typed in it', async () => {
	await writeDatabaseOf(1, join(directory, 'wendle.sqlite'));
	const db = await openDatabase(directory);
	try {
		const setup = (await loadSetup(db, 'u'))!;
		expect(setup.version).toBe(3);
		expect(setup.form.spool).toMatchObject({ rim: '3 3/8 in', hand: 'right', shape: 'straight' });
		expect(setup.form.fill).toMatchObject({ gap: '5 mm', leader: '7 ft', arborTurns: 3, halfFit: '' });
		const [backing, line] = setup.form.fill.stack;
		expect(backing).toMatchObject({
			role: 'backing',
			solve: true,
			made: { way: 'material', material: 'gel-spun-30', diameter: '0.3 mm' }
		});
		expect(line).toMatchObject({
			length: '30 yd',
			joint: 'albright',
			made: { way: 'class', class: { taper: 'WF', number: 6, density: 'S' } }
		});
		expect((await windingsOf(db, 'u'))[0]).toMatchObject({ turns: 900, typed: { note: 'kept' } });
		expect(await rack(db)).toHaveLength(1);
		// What was ticked belongs to the run now, in steps of each part.
		const done = ['hand', 'wind:backing', 'join:line', 'wind:line'];
		expect((await runBegun(db, 'u'))!.done.toSorted()).toEqual(done.toSorted());
		expect((await windingsOf(db, 'u'))[0]!.run).toBeNull();
	} finally {
		await db.destroy();
	}
});
