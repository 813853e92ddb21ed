import { dayOf } from '$lib/core';
import { measured } from '$lib/setup/testing';
import type { Knex } from 'knex';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase } from '../db/open';
import { valueOf } from '../outcome';
import { asked, create } from '../testing';
import { board, createOrder, removeOrder, saveOrder } from './orders';
import { aboutPerson, forgetPerson, people } from './people';
import { rack } from './setups';
import { recordWinding, takeBackWinding, windingsOf } from './windings';

const today = dayOf('2026-12-01');
let directory: string;
let db: Knex;
beforeEach(async () => {
	directory = mkdtempSync(join(tmpdir(), 'wendle-people-'));
	db = await openDatabase(directory);
});
afterEach(async () => {
	await db.destroy();
	rmSync(directory, { recursive: true, force: true });
});

const wound = (who: string, note = '') => ({
	woundOn: '2026-12-01',
	turns: '940',
	depth: '11 mm',
	gap: '',
	note,
	who
});
const order = async (who: string, notes = ''): Promise<string> =>
	valueOf(
		await createOrder(
			db,
			asked(),
			{ who, due: '', notes, prices: [], reels: [{ wish: 'WF5F on my brook reel, 20 lb' }] },
			'yd-mm',
			today
		)
	).id;

/** Whether a text still stands anywhere in the files of the database. */
async function leftInFiles(text: string): Promise<string[]> {
	await db.raw('pragma wal_checkpoint(truncate)');
	return readdirSync(directory).filter((file) => readFileSync(join(directory, file)).includes(text));
}

describe('people', () => {
	it('are told by the windings and orders that have their name, however it is written', async () => {
		const { id } = await create(db, measured(), 'yd-mm');
		const first = valueOf(await recordWinding(db, asked(), id!, wound('Quillon'), 'yd-mm'));
		valueOf(await takeBackWinding(db, asked(), first.id, true));
		valueOf(await recordWinding(db, asked(), id!, wound(' quillon '), 'yd-mm'));
		await order('Quillon');
		const away = await order('Peg 4');
		valueOf(await removeOrder(db, asked(), away, true));
		expect(await people(db)).toMatchObject([
			{ name: 'Peg 4', windings: 0, orders: 1, openOrders: 0 },
			{ windings: 2, orders: 1, openOrders: 1 }
		]);
		const about = await aboutPerson(db, 'QUILLON');
		expect(about!.windings.map(({ undone }) => undone)).toEqual([true, false]);
		expect(about!.orders[0]!.wishes).toEqual(['WF5F on my brook reel, 20 lb']);
		expect(await aboutPerson(db, 'nobody')).toBeUndefined();
	});

	it('are deleted for good: windings stay without the name, orders go, and nothing is left in the file', async () => {
		const { id } = await create(db, measured(), 'yd-mm');
		const winding = valueOf(await recordWinding(db, asked(), id!, wound('Quillon'), 'yd-mm'));
		const mine = await order('Quillon', 'Rings at the green door');
		const { form, version } = (await board(db)).orders.find((one) => one.id === mine)!;
		// Changed once, so that there is a former version.
		const reels = form.reels.map((reel) => ({ id: reel.id, wish: reel.wish }));
		const changed = { who: 'Quillon', due: '', notes: 'Rings at the green door, twice', prices: [], reels };
		valueOf(await saveOrder(db, asked(), mine, { ...changed, version }, 'yd-mm', today));
		await order('Peg 4');
		expect((await rack(db)).map((spool) => spool.form.name)).toContain('my brook reel');
		expect(await leftInFiles('Quillon')).not.toEqual([]);

		valueOf(await forgetPerson(db, asked(), 'quillon'));
		expect((await people(db)).map(({ name }) => name)).toEqual(['Peg 4']);
		expect(await windingsOf(db, id!)).toMatchObject([{ id: winding.id, turns: 940, typed: { who: '' } }]);
		expect((await board(db)).orders.map((one) => one.form.who)).toEqual(['Peg 4']);
		expect(await leftInFiles('Quillon')).toEqual([]);
		expect(await leftInFiles('green door')).toEqual([]);
		expect(await forgetPerson(db, asked(), 'quillon')).toMatchObject({ refusal: { kind: 'gone' } });
	});
});
