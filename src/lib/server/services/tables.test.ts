import { readDay } from '$lib/core';
import { newSetup } from '$lib/setup/presets';
import { measured } from '$lib/setup/testing';
import type { Knex } from 'knex';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import papa from 'papaparse';
import readXlsxFile from 'read-excel-file/node';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { fillDemo, fillOrders } from '../../../../demo/fill';
import { openDatabase } from '../db/open';
import { valueOf } from '../outcome';
import { create } from '../testing';
import { addEvents, startRun } from './runs';
import { csvOf, spreadsheetOf, TABLES } from './tables';

const TODAY = readDay('2026-11-28')!;
let directory: string;
let db: Knex;
beforeEach(() => (directory = mkdtempSync(join(tmpdir(), 'wendle-tables-'))));
afterEach(async () => {
	await db.destroy();
	rmSync(directory, { recursive: true, force: true });
});
const rowsOf = async (...asked: Parameters<typeof csvOf> extends [Knex, ...infer Rest] ? Rest : never) => {
	const { data, errors } = papa.parse<Record<string, string>>(await csvOf(db, ...asked), { header: true });
	expect(errors).toEqual([]);
	return data;
};

describe('tables for a spreadsheet', () => {
	it('have the unit in their columns, and the same lengths in each', async () => {
		await fillDemo(directory);
		db = await openDatabase(directory);
		const [metric, inches] = [
			await rowsOf('windings', 'm-mm', TODAY),
			await rowsOf('windings', 'yd-in', TODAY)
		];
		expect(metric).toHaveLength(6);
		for (const [i, row] of metric.entries()) {
			const other = inches[i]!;
			expect(Number(row['backing_length_m'])).toBeCloseTo(0.9144 * Number(other['backing_length_yd']), 2);
			expect(Number(row['gap_mm'])).toBeCloseTo(25.4 * Number(other['gap_in']), 1);
		}
		expect(metric[0]).toMatchObject({
			spool: expect.any(String),
			wound_on: expect.stringMatching(/^2\d{3}-/)
		});
		const spools = await rowsOf('spools', 'm-mm', TODAY);
		expect(spools).toHaveLength(8);
		expect(spools.find(({ spool }) => spool === 'Beck reel, spare spool')).toMatchObject({
			across_rims_mm: '72',
			across_arbor_mm: '34',
			between_flanges_mm: '17.5'
		});
		const strands = await rowsOf('strands', 'yd-mm', TODAY);
		expect(strands.map(({ where }) => where)).toContain('Beck reel, grayling');
	});
	it('keep a name with commas, quotes and letters of any kind, and let none be run as a formula', async () => {
		db = await openDatabase(directory);
		for (const name of ['Łódź "6", spare', '=HYPERLINK("x")']) {
			const form = newSetup();
			form.spool.name = name;
			await create(db, form, 'yd-mm');
		}
		expect((await rowsOf('spools', 'yd-mm', TODAY)).map(({ spool }) => spool)).toEqual([
			'Łódź "6", spare',
			'\'=HYPERLINK("x")'
		]);
	});

	it('have every cut, order and entry in Care', async () => {
		await fillDemo(directory);
		await fillOrders(directory);
		db = await openDatabase(directory);
		const care = await rowsOf('care-events', 'yd-mm', TODAY);
		expect(care.length).toBeGreaterThan(20);
		expect(care.find(({ what }) => what === 'fished')).toMatchObject({
			strand: expect.stringMatching(/\w/),
			days_fished: expect.stringMatching(/^\d+$/)
		});
		const orders = await rowsOf('orders', 'yd-mm', TODAY);
		expect(new Set(orders.map(({ number }) => number)).size).toBe(25);
		expect(orders.find(({ state }) => state === 'done')!['wound_on']).toMatch(/^2\d{3}-/);
		const stock = await rowsOf('stock', 'm-mm', TODAY);
		const events = await rowsOf('stock-events', 'm-mm', TODAY);
		const orange = stock.find(({ name }) => name === 'Orange, shelf 1')!;
		const cut = events
			.filter((event) => event['stock_id'] === orange['stock_id'] && event['what'] === 'cut')
			.reduce((sum, event) => sum + Number(event['amount']) / 1000, 0);
		expect(Number(orange['left_low_m'])).toBeLessThan(1000 - cut);
		expect(Number(orange['left_high_m'])).toBeGreaterThan(1000 - cut - 20);
	});

	it('come as a spreadsheet with the same cells, numbers as numbers and texts as texts', async () => {
		db = await openDatabase(directory);
		const form = newSetup();
		form.spool.name = '=HYPERLINK("x")';
		await create(db, form, 'yd-mm');
		const file = await spreadsheetOf(db, 'spools', 'yd-mm', TODAY);
		const [sheet] = await readXlsxFile(Buffer.from(file));
		const [columns, row] = sheet!.data;
		const csv = await rowsOf('spools', 'yd-mm', TODAY);
		expect(columns).toEqual(Object.keys(csv[0]!));
		expect(row![1]).toBe('=HYPERLINK("x")');
		expect(file.subarray(0, 2)).toEqual(new Uint8Array([0x50, 0x4b]));
	});

	it('have every depth that was read at the bench, with the turns that were on', async () => {
		db = await openDatabase(directory);
		const form = measured();
		const { id } = await create(db, form, 'yd-mm');
		const part = form.fill.stack[0]!.id;
		await startRun(db, 'run-readings', id!);
		const at = Date.parse('2026-11-28T10:00:00Z');
		valueOf(
			await addEvents(db, 'run-readings', [
				{ id: 'turns-1', at, kind: 'turns', part, turns: 600 },
				{ id: 'depth-1', at: at + 1000, kind: 'depth', part, depthMm: 15.8 }
			])
		);
		expect(await rowsOf('readings', 'yd-in', TODAY)).toMatchObject([
			{ read_in: '0.622', turns_on: '600', what: 'depth', read_at: '2026-11-28T10:00:01.000Z', job: 'wind' }
		]);
	});

	it('have the columns that are documented, in that order', async () => {
		db = await openDatabase(directory);
		const documented = readFileSync(new URL('../../../../docs/tables.md', import.meta.url), 'utf8');
		for (const name of Object.keys(TABLES) as (keyof typeof TABLES)[]) {
			const [head = ''] = (await csvOf(db, name, 'm-mm', TODAY)).split('\r\n');
			const section = documented.split(`## ${name}\n`)[1]?.split('\n## ')[0] ?? '';
			const columns = [...section.matchAll(/^\| `([a-z_]+)`/gm)].map(([, column]) => column);
			expect(columns, name).toEqual(head.split(','));
		}
	});
});
