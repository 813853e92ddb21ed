import { dayOf } from '$lib/core';
import { pastRun } from '$lib/bench/past';
import { newSetup } from '$lib/setup/presets';
import type { SetupForm } from '$lib/setup/form';
import type { WindingForm } from '$lib/inventory/winding';
import type { Knex } from 'knex';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase } from '../db/open';
import { benchJob, endJob } from './bench';
import { care } from './care';
import { addEvents, runBegun, startRun } from './runs';
import { loadSetup } from './saved';
import { loadSpool, rack, removeSpool, restoreSpool, saveSetup, saveTechniques } from './setups';
import { unreadable } from './unreadable';
import { windingsOf, recordWinding } from './windings';
import { valueOf } from '../outcome';
import { asked, create } from '../testing';

let directory: string;
let db: Knex;
beforeEach(async () => {
	directory = mkdtempSync(join(tmpdir(), 'wendle-unit-'));
	db = await openDatabase(directory);
});
afterEach(async () => {
	await db.destroy();
	rmSync(directory, { recursive: true, force: true });
});

const form = (name = 'Tarn'): SetupForm => {
	const fresh = newSetup();
	return {
		...fresh,
		spool: { ...fresh.spool, name, way: 'measured', rim: '84', arbor: '38 mm', width: '7/8 in' }
	};
};
const came = (given: Partial<WindingForm> = {}): WindingForm => ({
	woundOn: '2026-05-01', turns: '900', depth: '12', gap: '4.5 mm', note: 'n', who: '', ...given
}); // prettier-ignore

const GONE = { ok: false, refusal: { kind: 'gone' } };
const BAD = { ok: false, refusal: { kind: 'bad' } };

describe('set-ups', () => {
	it('come back as typed, bare numbers with their unit', async () => {
		const { id, spoolId } = await create(db, form(), 'yd-mm');
		const saved = await loadSetup(db, id);
		expect(saved).toMatchObject({ id, spoolId, version: 1 });
		expect(saved!.form.spool).toMatchObject({ rim: '84 mm', arbor: '38 mm', width: '7/8 in' });
		expect(await loadSetup(db, 'nobody')).toBeUndefined();
	});
	it('survive the database being closed and opened', async () => {
		const { id } = await create(db, form(), 'yd-mm');
		await db.destroy();
		db = await openDatabase(directory);
		expect((await loadSetup(db, id))?.form.spool.name).toBe('Tarn');
	});
	it('are not overwritten unseen: the second of two writers is told', async () => {
		const { id } = await create(db, form(), 'yd-mm');
		const both = { ...form('first'), fill: { ...form().fill, gap: '5 mm' } };
		expect(await saveSetup(db, asked(), id, both, 1, 'yd-mm')).toEqual({
			ok: true,
			value: { version: 3 }
		});
		const late = await saveSetup(db, asked(), id, form('second'), 1, 'yd-mm');
		expect(late).toMatchObject({ ok: false, refusal: { kind: 'stale', current: { version: 3 } } });
		expect((await loadSetup(db, id))!.form.spool.name).toBe('first');
		expect(await saveSetup(db, asked(), 'nobody', form(), 1, 'yd-mm')).toMatchObject(GONE);
	});
	it('may share a spool', async () => {
		const first = await create(db, form(), 'yd-mm');
		const second = await create(db, form('Tarn, renamed'), 'yd-mm', {
			spoolId: first.spoolId,
			spoolVersion: 0
		});
		expect(second.spoolId).toBe(first.spoolId);
		expect((await loadSpool(db, first.spoolId))!.form.name).toBe('Tarn, renamed');
		expect(await rack(db)).toMatchObject([{ setupId: second.id, planned: { id: second.id } }]);
	});
});

/** A run with these steps done, a minute apart. */
async function begin(setupId: string, steps: readonly string[]): Promise<void> {
	const run = `run-${steps.length}-${setupId}`.slice(0, 40);
	await new Promise((settle) => setTimeout(settle, 2));
	await startRun(db, run, setupId);
	const events = steps.map(
		(step, i) => ({ id: `s${i}`, at: 60_000 * i, kind: 'step', step, done: true }) as const
	);
	await addEvents(db, run, events);
}

describe('the job and its record', () => {
	it('steps that are done belong to the run, and the record keeps what the run came to', async () => {
		const { id } = await create(db, form(), 'yd-mm');
		await begin(id, ['hand', 'cage']);
		expect(await runBegun(db, id)).toMatchObject({ done: ['hand', 'cage'] });
		expect(await recordWinding(db, asked(), id, came(), 'yd-mm', { arborKnot: 'uni' })).toMatchObject({
			ok: true
		});
		expect(await runBegun(db, id)).toBeUndefined();
		const [record] = await windingsOf(db, id);
		expect(record!.run).toMatchObject({ hand: 'left', seconds: 60, turns: {}, remarks: [], photos: [] });
		expect(record!.run!.steps.map(({ step }) => step)).toEqual(['hand', 'cage']);
		expect(record!.run!.knots[0]).toBe('arbor: uni type, 2 turns');
		expect(record!.run!.plannedSeconds).toBeGreaterThan(600);
	});
	it('turns of the handle of a geared reel are typed, and those of its spool kept', async () => {
		const geared = form();
		geared.spool.gear = '47 in 10';
		const [made, plain] = [await create(db, geared, 'yd-mm'), await create(db, form('Beck'), 'yd-mm')];
		await recordWinding(db, asked(), made.id, came({ turns: '200' }), 'yd-mm');
		await recordWinding(db, asked(), plain.id, came({ turns: '940' }), 'yd-mm');
		const [[one], [other]] = [await windingsOf(db, made.id), await windingsOf(db, plain.id)];
		expect(one!.turns).toBeCloseTo(940, 9);
		expect(one!.backingMm).toBeCloseTo(other!.backingMm, 6);
		expect(pastRun(one!, 'yd-mm').cells.turns.actual).toBe('200');
	});
	it('a reverse fill is a winding: it is taken up where it was left, and its record ends it', async () => {
		const { id } = await create(db, form(), 'yd-mm');
		valueOf(await startRun(db, 'rev-run-1', id, 'reverse.twin'));
		await addEvents(db, 'rev-run-1', [{ id: 'a', at: 1, kind: 'step', step: 'second-reel', done: true }]);
		expect(await benchJob(db, id, undefined)).toEqual({ kind: 'reverse', way: 'twin' });
		const [spool] = await rack(db);
		expect(spool!.planned).toMatchObject({ bench: { kind: 'reverse' }, done: ['second-reel'] });
		await recordWinding(db, asked(), id, came(), 'yd-mm');
		expect((await windingsOf(db, id))[0]!.run).toMatchObject({ run: 'rev-run-1', job: 'reverse.twin' });
		expect(await runBegun(db, id, 'reverse.twin')).toBeUndefined();
	});
	it('a loop that broke on the water takes a little of the line with it; a look before the first cast takes nothing', async () => {
		const { id } = await create(db, form(), 'yd-mm');
		await recordWinding(db, asked(), id, came(), 'yd-mm');
		for (const [run, job, written] of [
			['mend-run-1', 'repair.front-loop', 1],
			['mend-run-2', 'repair.leader-loop', 0],
			['look-run-1', 'outing', 0]
		] as const) {
			valueOf(await startRun(db, run, id, job));
			expect(valueOf(await endJob(db, run, dayOf('2026-05-02'), false))).toHaveLength(written);
		}
		const { entries } = await care(db, dayOf('2026-05-03'));
		const line = entries.find(({ kept }) => kept.label.startsWith('Weight-forward'));
		expect(line!.state.lengthMm).toBeCloseTo(27_432 - 50, 0);
	});
	it('a record without a run has none to tell of', async () => {
		const { id } = await create(db, form(), 'yd-mm');
		await recordWinding(db, asked(), id, came({ who: 'the guide' }), 'yd-mm');
		expect((await windingsOf(db, id))[0]).toMatchObject({ run: null, typed: { who: 'the guide' } });
	});
	it('ways are changed over whatever version there is, and what is left out stays', async () => {
		const { id } = await create(db, form(), 'yd-mm');
		const ways = {
			schools: { tag: 'leave' },
			arborTurns: 3,
			gap: '7',
			joints: { line: 'albright', nobody: 'nail' }
		} as const;
		expect(await saveTechniques(db, asked(), id, ways, 'yd-mm')).toMatchObject({ ok: true });
		expect(await saveTechniques(db, asked(), id, { schools: { tag: 'trim' } }, 'yd-mm')).toMatchObject({
			ok: true
		});
		const saved = (await loadSetup(db, id))!;
		expect(saved.version).toBe(3);
		expect(saved.form.fill).toMatchObject({ schools: { tag: 'trim' }, arborTurns: 3, gap: '7 mm' });
		expect(saved.form.fill.stack.map(({ joint }) => joint)).toEqual(['double-uni', 'albright']);
		expect(await saveTechniques(db, asked(), 'nobody', ways, 'yd-mm')).toMatchObject({ ok: false });
	});
	it('a record keeps the set-up as it was', async () => {
		const { id } = await create(db, form(), 'yd-mm');
		await recordWinding(db, asked(), id, came(), 'yd-mm');
		await saveSetup(db, asked(), id, form('later'), 1, 'yd-mm');
		const [record] = await windingsOf(db, id);
		expect(record).toMatchObject({ turns: 900, depthMm: 12, gapMm: 4.5, backingMeasured: true });
		expect(record!.typed.depth).toBe('12 mm');
		expect(record!.form.spool.name).toBe('Tarn');
		expect(record!.backingMm).toBeCloseTo(Math.PI * 900 * (19 + 30), 6);
	});
	it('the rack shows the newest winding, and no plan once it is wound', async () => {
		const { id } = await create(db, form(), 'yd-mm');
		expect(await rack(db)).toMatchObject([{ planned: { id } }]);
		await recordWinding(db, asked(), id, came({ woundOn: '2026-05-01', note: 'new' }), 'yd-mm');
		await recordWinding(db, asked(), id, came({ woundOn: '2025-05-01', note: 'old' }), 'yd-mm');
		const [spool] = await rack(db);
		expect(spool!.wound!.typed.note).toBe('new');
		expect(spool!.planned).toBeUndefined();
		await begin(id, ['hand']);
		expect((await rack(db))[0]!.planned!.done).toEqual(['hand']);
	});
	it('what does not make sense is refused and nothing is written', async () => {
		const { id } = await create(db, form(), 'yd-mm');
		expect(await recordWinding(db, asked(), id, came({ turns: 'lots' }), 'yd-mm')).toMatchObject({
			ok: false,
			refusal: { kind: 'bad', issues: [{ path: ['turns'] }] }
		});
		expect(await recordWinding(db, asked(), 'nobody', came(), 'yd-mm')).toMatchObject(GONE);
		const unfinished = await create(db, newSetup(), 'yd-mm');
		expect(await recordWinding(db, asked(), unfinished.id, came(), 'yd-mm')).toMatchObject(BAD);
		expect(await windingsOf(db, id)).toEqual([]);
	});
});

describe('the rack', () => {
	it('gives back what was taken off', async () => {
		const { id, spoolId } = await create(db, form(), 'yd-mm');
		expect(await removeSpool(db, asked(), spoolId)).toMatchObject({ ok: true });
		expect(await rack(db)).toEqual([]);
		expect(await loadSetup(db, id)).toBeUndefined();
		expect(await restoreSpool(db, asked(), spoolId)).toMatchObject({ ok: true });
		expect(await rack(db)).toHaveLength(1);
		expect(await removeSpool(db, asked(), 'nobody')).toMatchObject({ ok: false });
	});
	it('a row that is not what it should be is not guessed at, and hides none of the others', async () => {
		const { spoolId } = await create(db, form(), 'yd-mm');
		await db('spools').where({ id: spoolId }).update({ form: '{' });
		const { id } = await create(db, form('Beck'), 'yd-mm');
		expect(await rack(db)).toMatchObject([{ planned: { id } }]);
		expect(await unreadable(db)).toMatchObject([{ table: 'spools', id: spoolId }]);
	});
});
