import { measured } from '$lib/setup/testing';
import type { Knex } from 'knex';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase } from '../db/open';
import { valueOf } from '../outcome';
import { asked, create } from '../testing';
import { addEvents, startRun } from './runs';
import { loadSetup } from './saved';
import { rack, saveSetup } from './setups';
import { planSwap } from './swaps';
import { recordWinding } from './windings';

let directory: string;
let db: Knex;
beforeEach(async () => {
	directory = mkdtempSync(join(tmpdir(), 'wendle-rack-'));
	db = await openDatabase(directory);
});
afterEach(async () => {
	await db.destroy();
	rmSync(directory, { recursive: true, force: true });
});

const CAME = { woundOn: '2026-05-01', turns: '320', depth: '9 mm', gap: '', note: '', who: '' };
const SINKER = {
	role: 'line',
	made: { way: 'class', class: { taper: 'WF', number: 6, density: 'S' } },
	length: '',
	note: 'sinker'
} as const;

/** Spools of every kind: planned only, wound, with a swap planned and begun, with another set-up on it. */
async function fill(spools: number): Promise<void> {
	for (let i = 0; i < spools; i++) {
		const form = measured();
		form.spool.name = `Spool ${i}`;
		const { id, spoolId } = await create(db, form, 'yd-mm');
		if (i % 4 === 0) continue;
		valueOf(await recordWinding(db, asked(), id, CAME, 'yd-mm'));
		if (i % 4 === 1) continue;
		const { setupId } = valueOf(await planSwap(db, asked(), { spoolId, keep: 1, on: [SINKER] }, 'yd-mm'));
		if (i % 4 === 2) continue;
		await startRun(db, `run-${i}`, setupId, 'swap');
		const step = { id: `step-${i}`, at: 5, kind: 'step', step: 'tools', done: true } as const;
		const turns = { id: `turns-${i}`, at: 6, kind: 'turns', part: 'line', turns: 40 } as const;
		await addEvents(db, `run-${i}`, [step, turns]);
	}
}

async function statements(ask: () => Promise<unknown>): Promise<number> {
	let count = 0;
	const listen = (): void => void count++;
	db.on('query', listen);
	await ask();
	db.off('query', listen);
	return count;
}

describe('the rack', () => {
	it('takes at most five statements, for any number of spools, read for the first time or again', async () => {
		await fill(6);
		await db.destroy();
		db = await openDatabase(directory);
		const first = await statements(() => rack(db));
		expect(first).toBeLessThanOrEqual(5);
		expect(await statements(() => rack(db))).toBeLessThanOrEqual(5);
		await fill(13);
		await db.destroy();
		db = await openDatabase(directory);
		expect(await statements(() => rack(db))).toBe(first);
		expect(await rack(db)).toHaveLength(19);
	});

	it('says of each spool what is on it, what is planned, and what is begun', async () => {
		await fill(4);
		const spools = await rack(db);
		expect(spools.map(({ form }) => form.name)).toEqual(['Spool 0', 'Spool 1', 'Spool 2', 'Spool 3']);
		expect(spools.map(({ still, wound, planned }) => [still, Boolean(wound), planned?.bench.kind])).toEqual([
			[0, false, 'wind'],
			[2, true, undefined],
			[2, true, 'swap'],
			[2, true, 'swap']
		]);
		expect(spools.map(({ planned }) => planned?.done)).toEqual([[], undefined, [], ['tools']]);
	});

	it('says of backing that stayed what was measured when it was wound, however the spool is described since', async () => {
		const { id, spoolId } = await create(db, measured(), 'yd-mm');
		valueOf(await recordWinding(db, asked(), id, CAME, 'yd-mm'));
		const before = (await rack(db))[0]!.wound!;
		const { form, version } = (await loadSetup(db, id))!;
		const wider = { ...form, spool: { ...form.spool, rim: '90.5 mm' } };
		valueOf(await saveSetup(db, asked(), id, wider, version, 'yd-mm'));
		const { setupId } = valueOf(await planSwap(db, asked(), { spoolId, keep: 1, on: [SINKER] }, 'yd-mm'));
		const swapped = { ...CAME, woundOn: '2026-06-01', turns: '', depth: '' };
		valueOf(await recordWinding(db, asked(), setupId, swapped, 'yd-mm'));
		const now = (await rack(db))[0]!.wound!;
		expect(now.setupId).toBe(setupId);
		expect(now.backingMm).toBeCloseTo(before.backingMm, 6);
	});
});
