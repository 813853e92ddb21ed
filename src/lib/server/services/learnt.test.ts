import { workOut } from '$lib/setup/evaluate-form';
import type { SetupForm } from '$lib/setup/form';
import { measured } from '$lib/setup/testing';
import type { WindingForm } from '$lib/inventory/winding';
import { dayOf } from '$lib/core';
import type { Knex } from 'knex';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase } from '../db/open';
import { valueOf } from '../outcome';
import { asked, create } from '../testing';
import { countWinding, learntHere, rackLearnt } from './learnt';
import { learntTold, winders } from './learnt-told';
import { loadSetup } from './saved';
import { saveSetup } from './setups';
import { recordWinding, takeBackWinding } from './windings';

let directory: string;
let db: Knex;
beforeEach(async () => {
	directory = mkdtempSync(join(tmpdir(), 'wendle-learnt-'));
	db = await openDatabase(directory);
});
afterEach(async () => {
	await db.destroy();
	rmSync(directory, { recursive: true, force: true });
});

const TODAY = dayOf('2026-05-01');

async function wind(setupId: string, typed: Partial<WindingForm>): Promise<string> {
	const form = { woundOn: '2026-04-01', turns: '', depth: '', gap: '', note: '', who: '', ...typed };
	return valueOf(await recordWinding(db, asked(), setupId, form, 'yd-mm')).id;
}
/** A set-up that was wound, looser than planned. */
async function wound(who = 'Ada', form: SetupForm = measured()): Promise<{ id: string; record: string }> {
	const { id } = await create(db, form, 'yd-mm');
	return { id, record: await wind(id, { turns: '820', depth: '11.4 mm', gap: '4.1 mm', who }) };
}
async function lengthOf(id: string, who: string): Promise<number> {
	const { form, spoolId } = (await loadSetup(db, id))!;
	const learnt = await learntHere(db, form, { setupId: id, spoolId, who, today: TODAY });
	const worked = workOut(form, 'yd-mm', learnt);
	if (!worked.ok) throw new Error('no answer');
	return worked.value.fit.solved!.lengthMm;
}

describe('what the rack has learnt', () => {
	it('is nothing before anything was read', async () => {
		const { id } = await create(db, measured(), 'yd-mm');
		await wind(id, {});
		const { form, spoolId } = (await loadSetup(db, id))!;
		expect(await learntHere(db, form, { setupId: id, spoolId, who: '', today: TODAY })).toBeUndefined();
		expect(await learntTold(db)).toMatchObject({ spools: [], winders: [], windings: [] });
	});

	it('moves the next plan of the same spool, and less that of another person', async () => {
		const { id } = await create(db, measured(), 'yd-mm');
		const plain = await lengthOf(id, 'Ada');
		await wind(id, { turns: '820', depth: '11.4 mm', gap: '4.1 mm', who: 'Ada' });
		const ada = await lengthOf(id, ' ada ');
		expect(ada).toBeLessThan(0.95 * plain);
		const bo = await lengthOf(id, 'Bo');
		expect(bo).toBeGreaterThan(ada);
		expect(bo).toBeLessThan(plain);
	});

	it('takes the only person who ever wound here for whoever winds now', async () => {
		const { id } = await wound('Ada');
		expect(await winders(db, '')).toEqual({ winder: 'Ada', winders: ['Ada'] });
		expect(await lengthOf(id, '')).toBe(await lengthOf(id, 'Ada'));
	});

	it('is the same object while nothing has changed', async () => {
		await wound();
		expect(await rackLearnt(db)).toBe(await rackLearnt(db));
	});

	it('leaves out what it is told to, and what was undone, and counts it again', async () => {
		const { id, record } = await wound();
		const learnt = await lengthOf(id, 'Ada');
		valueOf(await countWinding(db, asked(), { recordId: record, counts: false }));
		const without = await lengthOf(id, 'Ada');
		expect(without).toBeGreaterThan(1.05 * learnt);
		expect((await learntTold(db)).windings).toMatchObject([{ recordId: record, counts: false }]);
		valueOf(await countWinding(db, asked(), { recordId: record, counts: true }));
		expect(await lengthOf(id, 'Ada')).toBeCloseTo(learnt, 3);
		valueOf(await takeBackWinding(db, asked(), record, true));
		expect(await lengthOf(id, 'Ada')).toBeCloseTo(without, 3);
		const gone = await countWinding(db, asked(), { recordId: 'never wound', counts: false });
		expect(gone).toMatchObject({ ok: false, refusal: { kind: 'gone' } });
	});

	it('goes by the spool as it is described now', async () => {
		const { id } = await wound();
		const before = (await learntTold(db)).spools[0]!;
		const { form, version } = (await loadSetup(db, id))!;
		const other = { ...form, spool: { ...form.spool, arbor: '42 mm' } };
		valueOf(await saveSetup(db, asked(), id, other, version, 'yd-mm'));
		const after = (await learntTold(db)).spools[0]!;
		expect(before.arborMm.before.value).toBe(38);
		expect(after.arborMm.before.value).toBe(42);
	});

	it('tells of each spool, strand and person, with the windings behind it', async () => {
		const { record } = await wound('Ada');
		const second = await wound('Bo');
		const told = await learntTold(db);
		expect(told.winders.map(({ who, windings }) => [who, windings])).toEqual([
			['Ada', [record]],
			['Bo', [second.record]]
		]);
		expect(told.spools).toHaveLength(2);
		expect(told.strands).toHaveLength(4);
		expect(told.kinds.map(({ kind, windings }) => [kind, windings.length])).toEqual([
			['Braided polyester, 20 lb', 2],
			['Weight-forward 5, floating', 2]
		]);
		for (const { before, now } of told.winders.flatMap(({ backing }) => backing ?? [])) {
			expect(before.value).toBe(1);
			expect(now.value).toBeLessThan(1);
			expect(now.high - now.low).toBeLessThan(before.high - before.low);
		}
		expect(await winders(db, '')).toEqual({ winder: '', winders: ['Bo', 'Ada'] });
		expect(await winders(db, 'Cy')).toMatchObject({ winder: 'Cy' });
	});

	it('asks of a set-up that was changed since only what still holds', async () => {
		const { id } = await wound();
		const { form, spoolId } = (await loadSetup(db, id))!;
		const learnt = await learntHere(db, form, { setupId: id, spoolId, who: 'Ada', today: TODAY });
		const arborOf = (changed: SetupForm): number => {
			const worked = workOut(changed, 'yd-mm', learnt);
			if (!worked.ok) throw new Error('no answer');
			return 2 * worked.value.known.spool.arborRadiusMm;
		};
		expect(arborOf(form)).not.toBe(38);
		expect(arborOf({ ...form, spool: { ...form.spool, arbor: '40 mm' } })).toBe(40);
	});
});
