import { dayOf } from '$lib/core';
import type { ComponentForm } from '$lib/setup/form';
import { measured } from '$lib/setup/testing';
import { newStock } from '$lib/stock/new-stock';
import type { AddStockEvent, StockForm } from '$lib/stock/stock';
import type { Knex } from 'knex';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase } from '../db/open';
import { valueOf } from '../outcome';
import { asked, create } from '../testing';
import { createOrder } from './orders';
import {
	addStockEvent,
	confirmStockEvent,
	createStock,
	keepPlan,
	removeStock,
	saveStock,
	stockById,
	takeBackStockEvent
} from './stock';
import { cutChoices, needId, needsNow, stockEntries, stockPage } from './stock-needs';
import { recordWinding, takeBackWinding } from './windings';

const today = dayOf('2026-12-01');
const M = 1000;
let directory: string;
let db: Knex;
beforeEach(async () => {
	directory = mkdtempSync(join(tmpdir(), 'wendle-stock-'));
	db = await openDatabase(directory);
});
afterEach(async () => {
	await db.destroy();
	rmSync(directory, { recursive: true, force: true });
});

const add = async (form: Partial<StockForm> = {}): Promise<string> =>
	valueOf(await createStock(db, asked(), { ...newStock('bulk'), length: '1000 m', ...form }, 'm-mm')).id;
const event = (said: Partial<AddStockEvent> & Pick<AddStockEvent, 'kind' | 'amount'>): AddStockEvent => ({
	day: '2026-12-01',
	places: 1,
	note: '',
	...said
});
const say = async (id: string, said: Parameters<typeof event>[0]): Promise<string> =>
	valueOf(await addStockEvent(db, asked(), id, event(said), 'm-mm')).id;
const leftM = async (id: string): Promise<number> => (await stockById(db, id))!.leftMm!.value / M;
const wound = { woundOn: '2026-12-01', turns: '', depth: '', gap: '', note: '', who: '' };

/** A reel on the rack with 20 lb backing, and with a line that comes in a box or one of its own measures. */
async function reel(
	name = 'Beck reel',
	boxed = false
): Promise<{ id: string; backing: string; line: string }> {
	const form = measured();
	const [backing, line] = form.fill.stack as [ComponentForm, ComponentForm];
	const made = { way: 'class', class: newStock('boxed').line } as const;
	const fill = boxed ? { ...form.fill, stack: [backing, { ...line, made, length: '' }] } : form.fill;
	const { id } = await create(db, { spool: { ...form.spool, name }, fill }, 'yd-mm');
	return { id: id!, backing: backing.id, line: line.id };
}

describe('the shelf', () => {
	it('takes off what is cut, and puts it back', async () => {
		const id = await add();
		const cut = await say(id, { kind: 'cut', amount: '150' });
		expect(await leftM(id)).toBeCloseTo(850, 6);
		expect((await stockById(db, id))!.events).toMatchObject([{ id: cut, amount: '150 m', surprise: false }]);
		valueOf(await takeBackStockEvent(db, asked(), id, cut, true));
		expect(await leftM(id)).toBeCloseTo(1000, 6);
		valueOf(await takeBackStockEvent(db, asked(), id, cut, false));
		expect(await leftM(id)).toBeCloseTo(850, 6);
	});

	it('asks about a weight that cannot be, and follows it once somebody says so', async () => {
		const id = await add({ empty: '60 g' });
		const reading = await say(id, { kind: 'weighed', amount: '80 g' });
		expect((await stockById(db, id))!.events[0]).toMatchObject({ id: reading, surprise: true });
		expect(await leftM(id)).toBeCloseTo(1000, 6);
		valueOf(await confirmStockEvent(db, asked(), id, reading, true));
		expect((await stockById(db, id))!.events[0]!.surprise).toBe(false);
		expect(await leftM(id)).toBeLessThan(400);
	});

	it('takes nothing for a length that is left, and asks where that cannot be', async () => {
		const id = await add();
		await say(id, { kind: 'length', amount: '0' });
		expect((await stockById(db, id))!.events[0]).toMatchObject({ value: 0, surprise: true });
	});

	it('counts boxes that came, went and were counted', async () => {
		const id = await add({ ...newStock('boxed'), boxes: '4' });
		await say(id, { kind: 'took', amount: '1' });
		await say(id, { kind: 'came', amount: '3' });
		expect((await stockById(db, id))!.boxes).toBe(6);
		await say(id, { kind: 'counted', amount: '5' });
		expect(await stockById(db, id)).toMatchObject({ boxes: 5, leftMm: null, what: 'line:WF6F' });
	});

	it('says what is wrong with what was typed, and keeps nothing of it', async () => {
		expect(await createStock(db, asked(), { ...newStock('bulk'), length: 'lots' }, 'm-mm')).toMatchObject({
			refusal: { kind: 'bad', issues: [{ path: ['form', 'length'] }] }
		});
		const half = { ...newStock('bulk'), rim: '120 mm' };
		expect(await createStock(db, asked(), half, 'm-mm')).toMatchObject({
			refusal: { issues: [{ path: ['form', 'arbor'] }, { path: ['form', 'width'] }] }
		});
		const id = await add();
		for (const [said, code] of [
			[{ kind: 'depth', amount: '9' }, 'bulk_spool_unmeasured'],
			[{ kind: 'took', amount: '1' }, 'not_of_this_stock'],
			[{ kind: 'cut', amount: '' }, 'missing_value'],
			[{ kind: 'cut', amount: '99 km' }, 'unknown_unit']
		] as const)
			expect(await addStockEvent(db, asked(), id, event(said), 'm-mm')).toMatchObject({
				refusal: { kind: 'bad', issues: [{ code }] }
			});
		const boxes = await add({ ...newStock('boxed'), boxes: '4' });
		expect(
			await addStockEvent(db, asked(), boxes, event({ kind: 'took', amount: '1.5' }), 'm-mm')
		).toMatchObject({ refusal: { issues: [{ code: 'not_a_count' }] } });
		expect((await stockById(db, id))!.events).toEqual([]);
	});

	it('lets nobody save over a version that they have not seen, and takes things off and puts them back', async () => {
		const id = await add();
		const form = { ...newStock('bulk'), length: '900 m' };
		expect(valueOf(await saveStock(db, asked(), id, { form, version: 1 }, 'm-mm')).version).toBe(2);
		expect(await saveStock(db, asked(), id, { form, version: 1 }, 'm-mm')).toMatchObject({
			refusal: { kind: 'stale', current: { version: 2 } }
		});
		expect(await leftM(id)).toBe(900);
		valueOf(await removeStock(db, asked(), id, true));
		expect(await stockEntries(db)).toEqual([]);
		expect(await addStockEvent(db, asked(), id, event({ kind: 'cut', amount: '1' }), 'm-mm')).toMatchObject({
			refusal: { kind: 'gone' }
		});
		valueOf(await removeStock(db, asked(), id, false));
		expect(await stockEntries(db)).toHaveLength(1);
		expect(await removeStock(db, asked(), 'nothing', true)).toMatchObject({ refusal: { kind: 'gone' } });
	});
});

describe('a winding', () => {
	it('takes its backing and its line off the shelf, and puts them back when it is undone', async () => {
		const { id, backing, line } = await reel('Beck reel', true);
		const [spool, boxes] = [await add(), await add({ ...newStock('boxed'), boxes: '4' })];
		const cutFrom = { [backing]: spool, [line]: boxes };
		const record = valueOf(await recordWinding(db, asked(), id, wound, 'yd-mm', {}, { cutFrom }));
		const cut = (await stockById(db, spool))!.events[0]!;
		// What is on, and what its knots take.
		expect(cut).toMatchObject({ kind: 'cut', spool: 'Beck reel', recordId: record.id });
		expect(cut.value / M).toBeGreaterThan(130);
		expect(cut.value / M).toBeLessThan(140);
		expect(await leftM(spool)).toBeCloseTo(1000 - cut.value / M, 6);
		expect((await stockById(db, boxes))!.boxes).toBe(3);
		valueOf(await takeBackWinding(db, asked(), record.id, true));
		expect(await leftM(spool)).toBe(1000);
		expect((await stockById(db, boxes))!.boxes).toBe(4);
		valueOf(await takeBackWinding(db, asked(), record.id, false));
		expect((await stockById(db, boxes))!.boxes).toBe(3);
	});

	it('that was counted and measured is cut more surely than one that was only planned', async () => {
		const [first, second] = [await reel('A'), await reel('B')];
		const spool = await add();
		const measuredForm = { ...wound, turns: '949', depth: '11.4 mm' };
		for (const [{ id, backing }, typed] of [
			[first, wound],
			[second, measuredForm]
		] as const)
			valueOf(await recordWinding(db, asked(), id, typed, 'yd-mm', {}, { cutFrom: { [backing]: spool } }));
		const [counted, planned] = (await stockById(db, spool))!.events;
		expect(counted!.sigma).toBeLessThan(planned!.sigma! / 2);
	});

	it('comes from the source that was planned where nobody says otherwise, and from none where it says so', async () => {
		const [{ id, backing }, other] = [await reel('A'), await reel('B')];
		const [one, two] = [await add(), await add()];
		const plan = { [needId(id, backing)]: two, [needId(other.id, other.backing)]: two };
		valueOf(await keepPlan(db, asked(), plan));
		valueOf(await recordWinding(db, asked(), id, wound, 'yd-mm'));
		valueOf(
			await recordWinding(db, asked(), other.id, wound, 'yd-mm', {}, { cutFrom: { [other.backing]: null } })
		);
		expect((await stockById(db, one))!.events).toEqual([]);
		expect((await stockById(db, two))!.events).toHaveLength(1);
	});

	it('is refused from a source that is not there or is of another kind, and nothing is written', async () => {
		const { id, backing } = await reel();
		const thirty = await add({ material: 'polyester-30' });
		for (const source of ['nothing', thirty])
			expect(
				await recordWinding(db, asked(), id, wound, 'yd-mm', {}, { cutFrom: { [backing]: source } })
			).toMatchObject({ refusal: { kind: 'gone' } });
		expect((await stockById(db, thirty))!.events).toEqual([]);
		expect(await keepPlan(db, asked(), { a: 'nothing' })).toMatchObject({ refusal: { kind: 'gone' } });
	});

	it('is not offered what is planned for somebody else', async () => {
		const [{ id, backing }] = [await reel()];
		const [long, short] = [await add(), await add({ length: '250 m' })];
		expect((await cutChoices(db, id))[0]!.chosen).toBe(short);
		await reel('Other reel');
		const other = { who: 'Peg 4', due: '', notes: '', prices: [] };
		const reels = [{ wish: 'WF5F on the Other reel, 20 lb' }];
		valueOf(await createOrder(db, asked(), { ...other, reels }, 'yd-mm', today));
		const [need] = await needsNow(db);
		valueOf(await keepPlan(db, asked(), { [need!.id]: short }));
		expect((await cutChoices(db, id))[0]).toMatchObject({ part: backing, chosen: long });
	});

	it('is offered what serves, the planned source first, then the shortest that is surely long enough', async () => {
		const { id, backing } = await reel();
		expect(await cutChoices(db, id)).toEqual([]);
		const [long, short, end] = [
			await add(),
			await add({ length: '200 m' }),
			await add({ ...newStock('end'), length: '60 m' })
		];
		await add({ material: 'polyester-30' });
		const [choice] = await cutChoices(db, id);
		expect(choice).toMatchObject({ part: backing, what: 'backing:polyester-20', chosen: short });
		expect(choice!.sources.map((source) => source.id).toSorted()).toEqual([long, short, end].toSorted());
		valueOf(await keepPlan(db, asked(), { [needId(id, backing)]: long }));
		expect((await cutChoices(db, id))[0]!.chosen).toBe(long);
		valueOf(await recordWinding(db, asked(), id, wound, 'yd-mm'));
		// Wound anew, the backing is there already.
		expect((await cutChoices(db, id))[0]!.chosen).toBeNull();
	});
});

describe('what is needed', () => {
	it('is the backing and the line of every reel of an open order that is not wound, the earliest first', async () => {
		await reel();
		const order = (wish: string, due: string) =>
			createOrder(
				db,
				asked(),
				{ who: 'Peg 4', due, notes: '', prices: [], reels: [{ wish }] },
				'yd-mm',
				today
			);
		valueOf(await order('WF5F on the Beck reel, 30 lb', '2026-12-09'));
		valueOf(await order('DT6F on the Beck reel, 20 lb', '2026-12-03'));
		const needs = await needsNow(db);
		expect(needs.map(({ number, what }) => [number, what])).toEqual([
			[2, 'backing:polyester-20'],
			[2, 'line:DT6F'],
			[1, 'backing:polyester-30'],
			[1, 'line:WF5F']
		]);
		expect(needs[0]!.lengthMm! / M).toBeGreaterThan(50);
		expect(needs[1]!.lengthMm).toBeNull();
		const { setupId } = needs[0]!;
		valueOf(await recordWinding(db, asked(), setupId, wound, 'yd-mm'));
		expect((await needsNow(db)).map(({ number }) => number)).toEqual([1, 1]);
		const page = await stockPage(db, today);
		expect(page).toMatchObject({ entries: [], plan: {} });
		// Backing that was wound a year ago is to be tested, and may have to go.
		const later = await stockPage(db, today.add({ days: 350 }));
		expect(later.mayNeed.map(({ what }) => what)).toContain('backing:polyester-20');
	});
});
