import { dayOf } from '$lib/core';
import type { BringList, ReelRow } from '$lib/inventory/list/rows';
import type { Knex } from 'knex';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase } from '../db/open';
import { valueOf } from '../outcome';
import { asked } from '../testing';
import { addCareEvents, care } from './care';
import { bringList, listedHere, undoList } from './lists';
import { rack } from './setups';
import { recordWinding } from './windings';

const today = dayOf('2026-12-01');
let directory: string;
let db: Knex;
beforeEach(async () => {
	directory = mkdtempSync(join(tmpdir(), 'wendle-lists-'));
	db = await openDatabase(directory);
});
afterEach(async () => {
	await db.destroy();
	rmSync(directory, { recursive: true, force: true });
});

const reel = (name: string, rim = '84 mm'): ReelRow => ({
	name,
	hand: 'right',
	rim,
	arbor: '38 mm',
	width: '21 mm',
	frame: ''
});
const bring = (list: BringList) => bringList(db, asked(), list, 'yd-mm', today);
const names = async (): Promise<string[]> => (await rack(db)).map(({ form }) => form.name);
const line = (name: string, days: number | null) => ({
	line: { taper: 'WF', number: 6, density: 'F' } as const,
	length: '30 yd',
	name,
	coil: name,
	came: '2026-03-01',
	days
});

describe('a list that is brought in', () => {
	it('puts its reels on the rack, and takes them off again in one go, but for what was wound', async () => {
		const brought = valueOf(await bring({ kind: 'reels', rows: [reel('A'), reel('B'), reel('C')] }));
		expect(await names()).toEqual(['A', 'B', 'C']);
		const [first] = await rack(db);
		expect(first!.form).toMatchObject({ hand: 'right', way: 'measured', rim: '84 mm' });
		const wound = { woundOn: '2026-12-01', turns: '', depth: '', gap: '', note: '', who: '' };
		valueOf(await recordWinding(db, asked(), first!.planned!.id, wound, 'yd-mm'));
		valueOf(await undoList(db, asked(), brought));
		expect(await names()).toEqual(['A']);
	});

	it('is refused whole where one row makes no sense', async () => {
		expect(await bring({ kind: 'reels', rows: [reel('A'), reel('B', '20 mm')] })).toMatchObject({
			refusal: { kind: 'bad', issues: [{ path: ['rows', 1, 'arbor'] }] }
		});
		expect(await names()).toEqual([]);
	});

	it('puts its lines on coils with their days out; undone, what was used since stays', async () => {
		const rows = [line('summer', 12), line('spare', null)];
		const brought = valueOf(await bring({ kind: 'lines', rows }));
		const { entries } = await care(db, today);
		expect(entries.map(({ where, state }) => [where, state.daysOut]).toSorted()).toEqual([
			['on a coil: spare', 0],
			['on a coil: summer', 12]
		]);
		expect((await listedHere(db)).lines).toEqual(['WF6F summer', 'WF6F spare']);
		const cleaned = { id: 'cleaned-1', day: today, at: 5, kind: 'cleaned' } as const;
		await addCareEvents(db, [{ keptId: brought.lines[0]!, event: cleaned }]);
		valueOf(await undoList(db, asked(), brought));
		expect((await care(db, today)).entries.map(({ where }) => where)).toEqual(['on a coil: summer']);
	});
});
