import { dayOf } from '$lib/core';
import { measured } from '$lib/setup/testing';
import { momentsOf, USUAL_FILTER, type CareFilter } from '$lib/inventory/care-rows';
import { jobText } from '$lib/bench/work';
import { newComponent } from '$lib/setup/presets';
import type { Knex } from 'knex';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase } from '../db/open';
import { benchJob, endJob, woundAs } from './bench';
import { addCareEvents, care, carePage, history } from './care';
import { hands } from './hands';
import { addEvents, currentRun, runBegun, startRun } from './runs';
import { loadSetup } from './saved';
import { dropSetup, rack, removeSpool, saveSetup } from './setups';
import { planSwap, swapChoice } from './swaps';
import { recordWinding, takeBackWinding } from './windings';
import { valueOf } from '../outcome';
import { asked, create } from '../testing';

let directory: string;
let db: Knex;
beforeEach(async () => {
	directory = mkdtempSync(join(tmpdir(), 'wendle-swaps-'));
	db = await openDatabase(directory);
});
afterEach(async () => {
	await db.destroy();
	rmSync(directory, { recursive: true, force: true });
});

const FORM = { turns: '', depth: '', gap: '', note: '', who: '' };
const TODAY = dayOf('2026-07-01');
async function wound(name: string, form = measured()): Promise<{ id: string; spoolId: string }> {
	form.spool.name = name;
	const made = await create(db, form, 'yd-mm');
	await record(made.id, '2026-04-01', { turns: '320', depth: '9 mm' });
	return made;
}
async function record(setupId: string, woundOn: string, more: Partial<typeof FORM> = {}): Promise<string> {
	const recorded = await recordWinding(db, asked(), setupId, { ...FORM, woundOn, ...more }, 'yd-mm');
	if (!recorded.ok) throw new Error(recorded.refusal.kind);
	return recorded.value.id;
}
const sinker = {
	role: 'line' as const,
	made: { way: 'class' as const, class: { taper: 'WF' as const, number: 6, density: 'S' as const } },
	length: '',
	note: 'sinker'
};
async function plan(spoolId: string, on: Parameters<typeof planSwap>[2]['on'], keep = 1): Promise<string> {
	const planned = await planSwap(db, asked(), { spoolId, keep, on }, 'yd-mm');
	if (!planned.ok) throw new Error(planned.refusal.kind);
	return planned.value.setupId;
}
const GONE = { ok: false, refusal: { kind: 'gone' } };
const where = async (): Promise<Record<string, string>> =>
	Object.fromEntries((await care(db, TODAY)).entries.map((one) => [one.kept.id, one.where]));

describe('two lines swapped, and both found', () => {
	it('one goes on a coil with its label, the other on the spool; and back again', async () => {
		const { id, spoolId } = await wound('Tarn');
		const setupId = await plan(spoolId, [sinker]);
		const job = await benchJob(db, setupId, undefined);
		expect(job).toMatchObject({ kind: 'swap', off: [{ id: 'line' }], on: [{ part: 'line', from: 'new' }] });
		await startRun(db, 'run-swap', setupId, 'swap');
		await addEvents(db, 'run-swap', [{ id: 'c', at: 1, kind: 'coil', part: 'line', label: 'spring box' }]);
		expect((await rack(db))[0]).toMatchObject({
			still: 2,
			planned: { id: setupId, bench: { kind: 'swap' } }
		});
		await record(setupId, '2026-06-01', { gap: '4 mm' });
		expect(await where()).toEqual({
			[`${id}:backing`]: 'Tarn',
			[`${id}:line`]: 'on a coil: spring box',
			[`${setupId}:line`]: 'Tarn'
		});
		// Back: the very line that lies on the coil.
		const choice = (await swapChoice(db, spoolId))!;
		expect(choice.candidates).toMatchObject([{ keptId: `${id}:line`, from: 'coil', where: 'spring box' }]);
		const back = await plan(spoolId, [{ kept: `${id}:line` }]);
		await record(back, '2026-06-20');
		expect(await where()).toMatchObject({
			[`${id}:line`]: 'Tarn',
			[`${setupId}:line`]: 'on a coil: off Tarn'
		});
		expect((await care(db, TODAY)).entries).toHaveLength(3);
	});
	it('the backing that stays keeps what was measured of it, and says nothing new of a hand', async () => {
		const { spoolId } = await wound('Tarn');
		const before = (await rack(db))[0]!.wound!;
		await record(await plan(spoolId, [sinker]), '2026-06-01');
		const now = (await rack(db))[0]!.wound!;
		expect(now).toMatchObject({ backingMm: before.backingMm, backingMeasured: true, turns: 320, depthMm: 9 });
		expect((await hands(db)).flatMap(({ fills }) => fills)).toHaveLength(1);
	});
	it('undone, the winding and all that followed from it are gone; restored, they are there', async () => {
		const { id, spoolId } = await wound('Tarn');
		const before = await where();
		const swap = await record(await plan(spoolId, [sinker]), '2026-06-01');
		const after = await where();
		expect(await takeBackWinding(db, asked(), swap, true)).toMatchObject({ ok: true });
		expect(await where()).toEqual(before);
		expect((await rack(db))[0]!.wound!.setupId).toBe(id);
		await takeBackWinding(db, asked(), swap, false);
		expect(await where()).toEqual(after);
		expect(await takeBackWinding(db, asked(), 'nothing', true)).toMatchObject({ ok: false });
	});
	it("from reel to reel; a strand under another one can't be taken", async () => {
		const one = await wound('Tarn');
		const two = await wound('Beck', measured('90 mm'));
		const choice = (await swapChoice(db, two.spoolId))!;
		expect(choice.candidates).toMatchObject([{ keptId: `${one.id}:line`, from: 'reel', where: 'Tarn' }]);
		const setupId = await plan(two.spoolId, [{ kept: `${one.id}:line` }]);
		expect(await benchJob(db, setupId, undefined)).toMatchObject({ on: [{ from: 'reel', where: 'Tarn' }] });
		await record(setupId, '2026-06-01');
		expect(await where()).toMatchObject({
			[`${one.id}:line`]: 'Beck',
			[`${two.id}:line`]: 'on a coil: off Beck'
		});
		const [tarn, beck] = await rack(db);
		expect([tarn!.still, beck!.still]).toEqual([1, 2]);
		expect(await woundAs(db, `${one.id}:line`)).toEqual({ setupId, part: 'line', spoolId: two.spoolId });
	});
	it('heads and tips: a tip over a head that stays', async () => {
		const form = measured('100 mm', '60 mm', '26 mm');
		form.fill.stack = [
			form.fill.stack[0]!,
			newComponent('running', 'running-line'),
			newComponent('head', 'head'),
			newComponent('tip', 'tip')
		];
		const { id, spoolId } = await wound('Long rod', form);
		const made = { way: 'level', density: 'S', diameter: '1.1 mm' } as const;
		const setupId = await plan(spoolId, [{ role: 'tip', made, length: '12 ft', note: 'fast tip' }], 3);
		expect(await benchJob(db, setupId, undefined)).toMatchObject({
			off: [{ role: 'tip' }],
			on: [{ part: 'tip' }]
		});
		await record(setupId, '2026-06-01');
		const there = await where();
		expect(there[`${id}:head`]).toBe('Long rod');
		expect(there[`${id}:running`]).toBe('Long rod');
		expect(there[`${id}:tip`]).toBe('on a coil: off Long rod');
		expect(Object.keys(there)).toHaveLength(5);
	});
	it('a plan that is not wound is planned anew, or dropped; one that was wound stays', async () => {
		const { id, spoolId } = await wound('Tarn');
		const setupId = await plan(spoolId, [sinker]);
		expect(await plan(spoolId, [{ ...sinker, note: 'other' }])).toBe(setupId);
		expect(await dropSetup(db, asked(), setupId, true)).toMatchObject({ ok: true });
		expect((await rack(db))[0]!.planned).toBeUndefined();
		expect(await dropSetup(db, asked(), setupId, false)).toMatchObject({ ok: true });
		expect((await rack(db))[0]!.planned?.id).toBe(setupId);
		expect(await dropSetup(db, asked(), id, true)).toMatchObject({ ok: false });
	});
	it('refuses what is not there, and what does not fit', async () => {
		const { spoolId } = await wound('Tarn', measured('66 mm', '40 mm', '16 mm'));
		const ask = (on: Parameters<typeof planSwap>[2]['on'], to = spoolId, keep = 1) =>
			planSwap(db, asked(), { spoolId: to, keep, on }, 'yd-mm');
		expect(await ask([{ kept: 'nobody:line' }])).toMatchObject(GONE);
		expect(await ask([sinker], 'no spool')).toMatchObject(GONE);
		const salmon = {
			...sinker,
			made: { way: 'class', class: { taper: 'WF', number: 12, density: 'F' } }
		} as const;
		expect(await ask([salmon])).toMatchObject({ ok: false, refusal: { kind: 'bad' } });
		expect(await ask([sinker], spoolId, 9)).toMatchObject({ ok: false, refusal: { kind: 'bad' } });
	});
});

describe('jobs that wind nothing new', () => {
	it('a line off, to be kept: on its coil, the backing bare and due to be tested; then on again', async () => {
		const { id, spoolId } = await wound('Tarn');
		expect(await benchJob(db, id, { kind: 'off', keep: 1 })).toMatchObject({
			kind: 'off',
			off: [{ id: 'line' }]
		});
		await startRun(db, 'run-off', id, 'off.1');
		await addEvents(db, 'run-off', [
			{ id: 'a', at: 1, kind: 'step', step: 'off:line', done: true },
			{ id: 'b', at: 2, kind: 'coil', part: 'line', label: 'drawer' }
		]);
		expect((await rack(db))[0]!.other).toMatchObject({ job: 'off.1', done: ['off:line'] });
		expect((await runBegun(db, id, 'off.1'))!.done).toEqual(['off:line']);
		expect(await runBegun(db, id)).toBeUndefined();
		expect(valueOf(await endJob(db, 'run-off', dayOf('2026-06-01'), false))).toHaveLength(2);
		expect(await where()).toMatchObject({ [`${id}:line`]: 'on a coil: drawer', [`${id}:backing`]: 'Tarn' });
		const backing = (await care(db, TODAY)).entries.find(({ kept }) => kept.kind === 'backing')!;
		expect(backing.dues.find(({ job }) => job === 'tug-test')).toMatchObject({ because: 'line-change' });
		const [tarn] = await rack(db);
		expect([tarn!.still, tarn!.other]).toEqual([1, undefined]);
		expect(await currentRun(db, id, ['off.1'])).toBeUndefined();
		const again = await plan(spoolId, [{ kept: `${id}:line` }]);
		expect(await benchJob(db, again, undefined)).toMatchObject({
			kind: 'swap',
			off: [],
			on: [{ where: 'drawer' }]
		});
		// On the very day it came off: what is written later is later.
		await record(again, '2026-06-01');
		expect((await where())[`${id}:line`]).toBe('Tarn');
		expect((await rack(db))[0]!.still).toBe(2);
		// It was on a coil between: wound on, not respooled; and the backing was never wound again.
		const kinds = async (id: string) => (await history(db, id))!.events.map(({ event }) => event.kind);
		expect(await kinds(`${id}:line`)).not.toContain('respooled');
		expect(await kinds(`${id}:backing`)).toEqual(['line-changed', 'line-changed', 'moved', 'came']);
	});
	it('the strand that is wanted is on the spool under another: only that one comes off, and then nothing is left to do', async () => {
		const form = measured('112 mm', '44 mm', '32 mm');
		form.fill.stack[1] = newComponent('running-line', 'running-line');
		form.fill.stack.push(newComponent('head', 'head'), newComponent('tip', 'tip'));
		const { id } = await wound('Long rod', form);
		expect(await benchJob(db, id, undefined)).toEqual({ kind: 'wind' });
		const { fill } = (await loadSetup(db, id))!.form;
		const without = { ...form, fill: { ...fill, stack: fill.stack.slice(0, 3) } };
		await saveSetup(db, asked(), id, without, 1, 'yd-mm');
		const job = await benchJob(db, id, undefined);
		expect(job).toMatchObject({ kind: 'off', keep: 3, off: [{ id: 'tip', role: 'tip' }] });
		await startRun(db, 'run-off', id, jobText(job));
		await endJob(db, 'run-off', dayOf('2026-06-01'), false);
		expect((await where())[`${id}:tip`]).toMatch(/^on a coil: /);
		expect((await where())[`${id}:head`]).toBe('Long rod');
		expect(await benchJob(db, id, undefined)).toEqual({ kind: 'wind' });
	});
	it('a line that waits on its coil keeps its label, whatever else is wound on its spool', async () => {
		const { id, spoolId } = await wound('Tarn');
		const off = { id: 'event-0009', day: dayOf('2026-05-01'), at: 1e12, kind: 'moved' } as const;
		const to = { on: 'coil', label: 'drawer' } as const;
		await addCareEvents(db, [{ keptId: `${id}:line`, event: { ...off, to } }]);
		await record(await plan(spoolId, [sinker]), '2026-06-01');
		expect((await where())[`${id}:line`]).toBe('on a coil: drawer');
		// Undone, it never left before the sinker came: then it went on a coil as anything does.
		const undone = {
			id: 'event-0010',
			day: dayOf('2026-06-02'),
			at: 2e12,
			kind: 'undone',
			of: off.id
		} as const;
		await addCareEvents(db, [{ keptId: `${id}:line`, event: undone }]);
		expect((await where())[`${id}:line`]).toBe('on a coil: off Tarn');
	});
	it('twist walked out: the ledger has it, and the loop test after it', async () => {
		const { id } = await wound('Tarn');
		const job = 'untwist.line.40000';
		await startRun(db, 'run-twist', id, job);
		await addEvents(db, 'run-twist', [{ id: 'l', at: 1, kind: 'loop-test', bightMm: 2000, spins: 0.5 }]);
		const ended = valueOf(await endJob(db, 'run-twist', dayOf('2026-06-01'), false));
		expect(ended).toHaveLength(2);
		const told = (await history(db, `${id}:line`))!.events.map(({ event }) => event.kind);
		expect(told).toEqual(expect.arrayContaining(['let-out', 'loop-test']));
		// Ended once, it says nothing twice.
		expect(valueOf(await endJob(db, 'run-twist', dayOf('2026-06-01'), false))).toEqual(ended);
		expect((await history(db, `${id}:line`))!.events).toHaveLength(told.length);
		expect(await endJob(db, 'no run', dayOf('2026-06-01'), false)).toMatchObject(GONE);
	});
	it('left as it was, nothing is written down', async () => {
		const { id } = await wound('Tarn');
		const before = await where();
		await startRun(db, 'run-off', id, 'off.1');
		await endJob(db, 'run-off', dayOf('2026-06-01'), true);
		expect(await where()).toEqual(before);
	});
});

describe('the care page', () => {
	const filter = (asked: Partial<CareFilter> = {}): CareFilter => ({ ...USUAL_FILTER, ...asked });
	it('is filtered by name, kind, place and need, and cut to what is asked for', async () => {
		const { id, spoolId } = await wound('Tarn');
		await wound('Beck');
		const found = async (asked: Partial<CareFilter> = {}) => {
			const page = await carePage(db, TODAY, filter(asked));
			return [page.matching, page.rows.length];
		};
		expect(await found()).toEqual([4, 4]);
		expect(await found({ show: 1 })).toEqual([4, 1]);
		expect(await found({ sought: 'tarn', kind: 'line' })).toEqual([1, 1]);
		expect(await found({ where: 'coil' })).toEqual([0, 0]);
		expect(await found({ spool: spoolId })).toEqual([2, 2]);
		expect(await found({ thing: `${id}:line` })).toEqual([1, 1]);
		expect(await found({ due: true })).toEqual([0, 0]);
	});
	it('the strands on a spool of the rack go out together; a spool off the rack goes nowhere', async () => {
		const { id, spoolId } = await wound('Tarn');
		const { spoolId: beck } = await wound('Beck');
		const out = async () => (await carePage(db, TODAY, filter())).spools;
		expect((await out()).map(({ name }) => name)).toEqual(['Beck', 'Tarn']);
		expect((await out())[1]!.things.toSorted()).toEqual([`${id}:backing`, `${id}:line`]);
		await removeSpool(db, asked(), beck);
		expect((await out()).map((spool) => spool.id)).toEqual([spoolId]);
		// Its strands are still known.
		expect((await carePage(db, TODAY, filter({ sought: "isn't on the rack" }))).matching).toBe(2);
	});
	it('writes histories small, and reads them back', async () => {
		const { id } = await wound('Tarn');
		const fished = { kind: 'fished', days: 3, water: 'salt' } as const;
		const event = { id: 'event-0001', day: dayOf('2026-05-01'), at: 1e12, ...fished };
		await addCareEvents(db, [{ keptId: `${id}:line`, event }]);
		const { rows } = await carePage(db, TODAY, filter({ kind: 'line' }));
		expect(momentsOf(rows[0]!.history)).toMatchObject([
			{ kind: 'came' },
			{ kind: 'moved', on: 'spool', place: 'Tarn' },
			{ kind: 'fished', days: 3, salt: true }
		]);
	});
	it('a line put on a coil by hand bares its backing; undone, it does not', async () => {
		const { id } = await wound('Tarn');
		const backing = async () => (await care(db, TODAY)).entries.find(({ kept }) => kept.kind === 'backing')!;
		const to = { on: 'coil', label: 'x' } as const;
		const off = { id: 'event-0002', day: dayOf('2026-05-01'), at: 1e12, kind: 'moved', to } as const;
		await addCareEvents(db, [{ keptId: `${id}:line`, event: off }]);
		expect((await backing()).dues.some(({ because }) => because === 'line-change')).toBe(true);
		const undone = {
			id: 'event-0003',
			day: dayOf('2026-05-02'),
			at: 2e12,
			kind: 'undone',
			of: 'event-0002'
		} as const;
		await addCareEvents(db, [{ keptId: `${id}:line`, event: undone }]);
		expect((await backing()).dues.some(({ because }) => because === 'line-change')).toBe(false);
		const told = (await history(db, `${id}:line`))!.events;
		expect(told.find(({ event }) => event.id === 'event-0002')!.counts).toBe(false);
	});
});
