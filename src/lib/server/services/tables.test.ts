import { readDay } from '$lib/core';
import { newSetup } from '$lib/setup/presets';
import type { Knex } from 'knex';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import papa from 'papaparse';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { fillDemo } from '../../../../demo/fill';
import { openDatabase } from '../db/open';
import { create } from '../testing';
import { csvOf } from './tables';

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
});
