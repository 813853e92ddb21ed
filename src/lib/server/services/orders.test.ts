import { dayOf } from '$lib/core';
import { nextAfter } from '$lib/orders/board';
import type { CreateOrder } from '$lib/orders/order';
import { measured } from '$lib/setup/testing';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase } from '../db/open';
import { valueOf } from '../outcome';
import { asked, create } from '../testing';
import { board, createOrder, moveOrder, orderById, removeOrder, saveOrder, takeNext } from './orders';
import { followOrders } from './order-progress';
import { addEvents, startRun } from './runs';
import { loadSetup } from './saved';
import { rack, saveSetup } from './setups';
import { recordWinding, takeBackWinding } from './windings';

const today = dayOf('2026-12-01');
const order = (...wishes: string[]): CreateOrder => ({
	who: 'Peg 4',
	due: '',
	notes: '',
	prices: [],
	reels: wishes.map((wish) => ({ wish }))
});
const wound = { woundOn: '2026-12-01', turns: '', depth: '', gap: '', note: '', who: '' };

let directory: string;
let db: Knex;
beforeEach(async () => {
	directory = mkdtempSync(join(tmpdir(), 'wendle-orders-'));
	db = await openDatabase(directory);
});
afterEach(async () => {
	await db.destroy();
	rmSync(directory, { recursive: true, force: true });
});

/** Puts a spool on the rack that can be wound. */
async function shelve(name: string): Promise<void> {
	const form = measured();
	await create(db, { ...form, spool: { ...form.spool, name } }, 'yd-mm');
}

const takeIn = async (...wishes: string[]) =>
	valueOf(await createOrder(db, asked(), order(...wishes), 'yd-mm', today));
const stateOf = async (id: string) => (await orderById(db, id))?.state;
/** An order for a spool on the rack that can be wound. */
async function ready(wish = 'WF5F on the Beck reel, 20 lb'): Promise<{ id: string; setupId: string }> {
	await shelve('Beck reel');
	const { id } = await takeIn(wish);
	return { id, setupId: (await orderById(db, id))!.reels[0]!.setupId };
}
const wind = async (setupId: string) => valueOf(await recordWinding(db, asked(), setupId, wound, 'yd-mm'));

describe('taking an order in', () => {
	it('reads each wish into a set-up, for a spool on the rack or a new one', async () => {
		await shelve('Beck reel');
		const { id, number } = await takeIn(
			'DT4F on the Beck reel, 30 lb, by Saturday',
			'WF8F on my 8, right hand'
		);
		expect(number).toBe(1);
		const taken = (await orderById(db, id))!;
		expect(taken.due?.toString()).toBe('2026-12-05');
		const [beck, eight] = taken.reels;
		expect(beck).toMatchObject({ name: 'Beck reel', trouble: null, backing: 'polyester-30' });
		expect(beck!.secondsLeft).toBeGreaterThan(300);
		expect(eight).toMatchObject({ name: 'my 8', hand: 'right', trouble: 'unfinished', secondsLeft: null });
		expect((await rack(db)).map(({ form }) => form.name)).toEqual(['Beck reel', 'my 8']);
		expect((await takeIn('WF5F')).number).toBe(2);
	});

	it('asked again under the same id, takes one order in', async () => {
		const id = { id: 'same-write' };
		const first = valueOf(await createOrder(db, id, order('WF5F'), 'yd-mm', today));
		expect(valueOf(await createOrder(db, id, order('WF5F'), 'yd-mm', today))).toEqual(first);
		expect((await board(db)).orders).toHaveLength(1);
	});

	it('refuses a spool that is not on the rack, and leaves nothing behind', async () => {
		const wrong = { ...order('WF5F'), reels: [{ wish: 'WF5F' }, { wish: 'WF6F', spoolId: 'nowhere' }] };
		expect((await createOrder(db, asked(), wrong, 'yd-mm', today)).ok).toBe(false);
		expect(await rack(db)).toEqual([]);
	});
});

describe('an order and the bench', () => {
	it('goes on the bench when its job begins, is done when all of it is wound, and open again when that is undone', async () => {
		const { id, setupId } = await ready();
		valueOf(await startRun(db, 'run-a', setupId));
		expect(await stateOf(id)).toBe('bench');
		const winding = await wind(setupId);
		expect(await stateOf(id)).toBe('done');
		valueOf(await takeBackWinding(db, asked(), winding.id, true));
		expect(await stateOf(id)).toBe('bench');
		valueOf(await takeBackWinding(db, asked(), winding.id, false));
		expect(await stateOf(id)).toBe('done');
		valueOf(await moveOrder(db, asked(), id, 'handed-over'));
		valueOf(await takeBackWinding(db, asked(), winding.id, true));
		expect(await stateOf(id)).toBe('handed-over');
	});

	it('with several reels is done with the last of them', async () => {
		await shelve('Beck reel');
		await shelve('Tarn reel');
		const { id } = await takeIn('WF5F on the Beck reel', 'WF6F on the Tarn reel');
		const [first, second] = (await orderById(db, id))!.reels;
		await wind(first!.setupId);
		expect(await stateOf(id)).not.toBe('done');
		await wind(second!.setupId);
		expect(await stateOf(id)).toBe('done');
	});

	it('offers the next reel that nobody winds yet, one of a ready order first', async () => {
		const { id, setupId } = await ready();
		expect((await board(db)).next).toBeNull();
		valueOf(await moveOrder(db, asked(), id, 'ready'));
		expect((await board(db)).next).toMatchObject({ orderId: id, setupId, state: 'ready' });
		await shelve('Tarn reel');
		const second = await takeIn('WF6F on the Tarn reel');
		valueOf(await moveOrder(db, asked(), second.id, 'ready'));
		// Whoever went to the bench with the first has it, before anything is done there.
		valueOf(await moveOrder(db, asked(), id, 'bench'));
		expect((await board(db)).next).toMatchObject({ orderId: second.id });
		valueOf(await moveOrder(db, asked(), second.id, 'waiting'));
		expect((await board(db)).next).toMatchObject({ orderId: id, state: 'bench' });
		// Turns alone say that somebody winds it.
		valueOf(await startRun(db, 'run-a', setupId));
		const turns = { id: 'e1', at: 1, kind: 'turns', part: 'backing', turns: 10 } as const;
		valueOf(await addEvents(db, 'run-a', [turns]));
		expect((await board(db)).next).toBeNull();
	});

	it('gives two benches that ask at once two reels, and each its own again', async () => {
		for (const name of ['Alder 6', 'Birch 5', 'Cedar 4']) await shelve(name);
		const both = await takeIn('WF6F on the Alder 6, 20 lb', 'WF5F on the Birch 5, 20 lb');
		const [here, there, late] = [randomUUID(), randomUUID(), randomUUID()];
		await moveOrder(db, asked(), both.id, 'ready');
		const next = (bench: string) => takeNext(db, asked(), { bench }).then(valueOf);
		const given = await Promise.all([next(here), next(there)]);
		expect(given.map((reel) => reel!.name).toSorted()).toEqual(['Alder 6', 'Birch 5']);
		expect(await stateOf(both.id)).toBe('bench');
		// Whoever goes back and asks again has the same reel; for another there is none.
		expect((await next(here))!.name).toBe(given[0]!.name);
		expect(await next(late)).toBeNull();
		// A reel of an order that is ready comes before what somebody else may only have put down.
		const one = await takeIn('WF4F on the Cedar 4, 20 lb');
		await moveOrder(db, asked(), one.id, 'ready');
		expect((await next(late))!.name).toBe('Cedar 4');
	});

	it('goes on with the order in hand before another is begun', async () => {
		await shelve('Beck reel');
		await shelve('Tarn reel');
		const two = await takeIn('WF5F on the Beck reel', 'WF5F on the Tarn reel');
		await shelve('Lake reel');
		const one = await takeIn('WF5F on the Lake reel');
		valueOf(await moveOrder(db, asked(), two.id, 'bench'));
		valueOf(await moveOrder(db, asked(), one.id, 'ready'));
		const { orders, next } = await board(db);
		expect(next?.number).toBe(one.number);
		const own = orders.find(({ id }) => id === two.id)!;
		expect(nextAfter(orders, own)?.number).toBe(two.number);
	});

	it('has less left to do with each step, and nothing once it is wound', async () => {
		const { id, setupId } = await ready();
		const before = (await orderById(db, id))!.reels[0]!.secondsLeft!;
		valueOf(await startRun(db, 'run-a', setupId));
		valueOf(
			await addEvents(db, 'run-a', [
				{ id: 'e1', at: 1, kind: 'step', step: 'wind:backing', done: true, plannedSeconds: 60 }
			])
		);
		expect((await orderById(db, id))!.reels[0]!.secondsLeft).toBeLessThan(before);
		await wind(setupId);
		expect((await orderById(db, id))!.reels[0]).toMatchObject({ secondsLeft: 0, trouble: null });
	});

	it('tells the boards that follow', async () => {
		let told = 0;
		const stop = followOrders(() => told++);
		const { id, setupId } = await ready();
		const afterIntake = told;
		valueOf(await moveOrder(db, asked(), id, 'ready'));
		await wind(setupId);
		stop();
		valueOf(await moveOrder(db, asked(), id, 'handed-over'));
		expect([afterIntake, told]).toEqual([1, 3]);
	});
});

describe('changing an order', () => {
	it('keeps reels by their ids, takes new ones in, and drops the others with their spools', async () => {
		const { id, version } = await takeIn('WF5F on my 5', 'WF6F on my 6');
		const { form } = (await orderById(db, id))!;
		const { reels, ...said } = form;
		const changed = {
			...said,
			notes: 'Collects at four.',
			version,
			reels: [{ id: reels[1]!.id, wish: reels[1]!.wish }, { wish: 'WF8F on my 8' }]
		};
		valueOf(await saveOrder(db, asked(), id, changed, 'yd-mm', today));
		const now = (await orderById(db, id))!;
		expect(now.reels.map(({ name }) => name)).toEqual(['my 6', 'my 8']);
		expect(now.form.notes).toBe('Collects at four.');
		expect((await rack(db)).map(({ form: own }) => own.name)).toEqual(['my 6', 'my 8']);
		const again = await saveOrder(db, asked(), id, changed, 'yd-mm', today);
		expect(!again.ok && again.refusal.kind).toBe('stale');
	});

	it('taken away and brought back is as it was, with what came with it', async () => {
		const { id } = await takeIn('WF5F on my 5');
		const before = await orderById(db, id);
		valueOf(await removeOrder(db, asked(), id, true));
		expect([(await board(db)).orders, await rack(db)]).toEqual([[], []]);
		valueOf(await removeOrder(db, asked(), id, false));
		expect(await orderById(db, id)).toEqual(before);
	});

	it('handed over takes a reel that came with it off the rack, as its owner takes it along, and only that one', async () => {
		await shelve('Beck reel');
		const { id } = await takeIn('WF5F on my 5', 'WF6F on the Beck reel');
		await moveOrder(db, asked(), id, 'handed-over');
		expect((await rack(db)).map(({ form }) => form.name)).toEqual(['Beck reel']);
		await moveOrder(db, asked(), id, 'done');
		expect((await rack(db)).map(({ form }) => form.name)).toEqual(['Beck reel', 'my 5']);
	});

	it('still tells what was wound on a reel that was handed over', async () => {
		const { id } = await takeIn('WF5F on my 5');
		const { setupId } = (await orderById(db, id))!.reels[0]!;
		const { form, version } = (await loadSetup(db, setupId))!;
		const described = { ...form, spool: { ...measured().spool, name: 'my 5' } };
		valueOf(await saveSetup(db, asked(), setupId, described, version, 'yd-mm'));
		const winding = await wind(setupId);
		await moveOrder(db, asked(), id, 'handed-over');
		expect((await orderById(db, id))!.reels[0]).toMatchObject({
			name: 'my 5',
			spoolId: null,
			windingId: winding.id,
			trouble: null
		});
	});

	it('never takes a spool away that was on the rack before, or that was wound', async () => {
		const { id, setupId } = await ready();
		valueOf(await removeOrder(db, asked(), id, true));
		expect((await rack(db)).map(({ form }) => form.name)).toEqual(['Beck reel']);
		expect(await loadSetup(db, setupId)).toBeUndefined();
		valueOf(await removeOrder(db, asked(), id, false));
		await wind(setupId);
		valueOf(await removeOrder(db, asked(), id, true));
		expect(await loadSetup(db, setupId)).toBeDefined();
	});
});
