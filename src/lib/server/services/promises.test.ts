import type { WindingForm } from '$lib/inventory/winding';
import { measured, worked } from '$lib/setup/testing';
import type { Knex } from 'knex';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase } from '../db/open';
import { asked, create } from '../testing';
import { promisesKept } from './promises';
import { recordWinding } from './windings';

let directory: string;
let db: Knex;
beforeEach(async () => {
	directory = mkdtempSync(join(tmpdir(), 'wendle-promises-'));
	db = await openDatabase(directory);
});
afterEach(async () => {
	await db.destroy();
	rmSync(directory, { recursive: true, force: true });
});

async function wind(typed: Partial<WindingForm>): Promise<void> {
	const { id } = await create(db, measured(), 'yd-mm');
	const form = { woundOn: '2026-04-01', turns: '', depth: '', gap: '', note: '', who: '', ...typed };
	const recorded = await recordWinding(db, asked(), id, form, 'yd-mm');
	if (!recorded.ok) throw new Error(recorded.refusal.kind);
}
const plan = worked(measured()).fit.solved!;

describe('promises kept', () => {
	it('are about gaps that were measured, not about those taken from the plan', async () => {
		await wind({});
		await wind({ turns: '900', depth: '11.2 mm' });
		expect(await promisesKept(db)).toEqual({ promises: [], held: 0 });
	});
	it('a gap within the range held, one far from it did not', async () => {
		await wind({ gap: '4.3 mm' });
		await wind({ gap: '8 mm' });
		const { promises, held } = await promisesKept(db);
		expect(held).toBe(1);
		expect(promises.map((p) => p.held).sort()).toEqual([false, true]);
		for (const { foreseenMm, lowMm, highMm } of promises) {
			expect(foreseenMm).toBeCloseTo(4, 6);
			expect(lowMm).toBeLessThan(3.2);
			expect(highMm).toBeGreaterThan(4.8);
		}
	});
	it('what was counted and read of the backing moves what was foreseen', async () => {
		await wind({ turns: String(Math.round(plan.turns) - 120), gap: '5 mm' });
		await wind({ depth: `${(plan.stopDepthMm + 1).toFixed(1)} mm`, gap: '5 mm' });
		const { promises } = await promisesKept(db);
		for (const { foreseenMm } of promises) expect(foreseenMm).toBeGreaterThan(4.5);
	});
	it('stay what was foreseen then, whatever is learnt later', async () => {
		await wind({ turns: '820', depth: '11.4 mm', gap: '4.3 mm' });
		const [first] = (await promisesKept(db)).promises;
		for (let i = 0; i < 3; i++) await wind({ turns: '820', depth: '11.4 mm', gap: '5 mm' });
		const { promises } = await promisesKept(db);
		expect(promises.find(({ recordId }) => recordId === first!.recordId)).toEqual(first);
		// The fourth of the same hand, backing and kind of line was foreseen better than the first.
		const errors = promises.map(({ foreseenMm, foundMm }) => Math.abs(foreseenMm - foundMm));
		expect(errors.at(-1)).toBeLessThan(errors[1]!);
	});
});
