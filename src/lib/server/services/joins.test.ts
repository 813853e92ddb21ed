import { runState, type RunEvent, dayOf } from '$lib/core';
import { newSetup } from '$lib/setup/presets';
import type { SetupForm } from '$lib/setup/form';
import { measured } from '$lib/setup/testing';
import { workOut } from '$lib/setup/evaluate-form';
import type { Knex } from 'knex';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase } from '../db/open';
import { valueOf } from '../outcome';
import { listWindings } from '../repositories/windings';
import { asked, create } from '../testing';
import { addCareEvents, bring, care, describeBrought, setCareRules } from './care';
import { strandsNow } from './inventory';
import { endJob } from './bench';
import { addEvents, currentRun, runEvents, startRun } from './runs';
import { loadSetup } from './saved';
import { createSetup, loadSpool, rack, saveSetup, saveTechniques } from './setups';
import { planSwap } from './swaps';
import { windingsOf, recordWinding, takeBackWinding } from './windings';

let directory: string;
let db: Knex;
beforeEach(async () => {
	directory = mkdtempSync(join(tmpdir(), 'wendle-joins-'));
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
const STALE = { ok: false, refusal: { kind: 'stale' } };
/** The form of a set-up with something else in it. */
async function changed(id: string, edit: (form: SetupForm) => void): Promise<SetupForm> {
	const form = structuredClone((await loadSetup(db, id))!.form);
	edit(form);
	return form;
}
const wound = async (): Promise<{ id: string; spoolId: string }> => {
	const made = await create(db, measured(), 'yd-mm');
	valueOf(await recordWinding(db, asked(), made.id, CAME, 'yd-mm'));
	return made;
};

describe('a plan', () => {
	it('leaves the spool as it was described since it was last wound, and counts on that', async () => {
		const { id, spoolId } = await wound();
		const form = await changed(id, ({ spool }) => Object.assign(spool, { name: 'Renamed', rim: '90.5 mm' }));
		const { version } = (await loadSetup(db, id))!;
		valueOf(await saveSetup(db, asked(), id, form, version, 'yd-mm'));
		const swap = { spoolId, keep: 1, on: [SINKER] };
		const { setupId } = valueOf(await planSwap(db, asked(), swap, 'yd-mm'));
		expect((await loadSpool(db, spoolId))!.form).toMatchObject({ name: 'Renamed', rim: '90.5 mm' });
		// Nor does planning it again, with something else.
		const other = { ...swap, on: [{ ...SINKER, note: 'other' }] };
		expect(valueOf(await planSwap(db, asked(), other, 'yd-mm')).setupId).toBe(setupId);
		expect((await loadSpool(db, spoolId))!.form.name).toBe('Renamed');
		const planned = (await loadSetup(db, setupId))!;
		expect(planned.form.fill.stack[1]!.note).toBe('other');
		// The plan is worked out on the rim as it is now: what was wound to 9 mm below it takes more backing.
		const worked = workOut(planned.form, 'yd-mm');
		if (!worked.ok) throw new Error(JSON.stringify(worked.issues));
		expect(worked.value.fit.layers[0]!.depthMm).toBeCloseTo(9, 1);
		// The winding's own copy is history.
		expect((await windingsOf(db, id))[0]!.form.spool.rim).not.toBe('90.5 mm');
	});

	it('over a newer one is planned on that: the plan has its version too', async () => {
		const { spoolId } = await wound();
		const swap = { spoolId, keep: 1, on: [SINKER] };
		const { setupId } = valueOf(await planSwap(db, asked(), swap, 'yd-mm'));
		const seen = (await loadSetup(db, setupId))!;
		const other = { ...swap, on: [{ ...SINKER, note: 'other' }] };
		valueOf(await planSwap(db, asked(), other, 'yd-mm'));
		// Whoever has the plan open as it was is told.
		expect(await saveSetup(db, asked(), setupId, seen.form, seen.version, 'yd-mm')).toMatchObject(STALE);
	});
});

describe('a version', () => {
	it('of a set-up counts what another set-up does to its spool', async () => {
		const first = await create(db, measured(), 'yd-mm');
		const second = await create(db, measured(), 'yd-mm', { spoolId: first.spoolId });
		const arbor = await changed(first.id, ({ spool }) => (spool.arbor = '42 mm'));
		valueOf(await saveSetup(db, asked(), first.id, arbor, first.version, 'yd-mm'));
		const late = await changed(second.id, ({ fill }) => (fill.gap = '6 mm'));
		late.spool.arbor = measured().spool.arbor;
		const told = await saveSetup(db, asked(), second.id, late, second.version, 'yd-mm');
		expect(told).toMatchObject({
			...STALE,
			refusal: { current: { form: { spool: { arbor: '42 mm' } }, version: second.version + 1 } }
		});
		expect((await loadSpool(db, first.spoolId))!.form.arbor).toBe('42 mm');
	});

	it('stays while nothing changes, and a spool that was not touched keeps its own', async () => {
		const { id, version, spoolId } = await create(db, measured(), 'yd-mm');
		const { form } = (await loadSetup(db, id))!;
		expect(valueOf(await saveSetup(db, asked(), id, form, version, 'yd-mm')).version).toBe(version);
		const gap = await changed(id, ({ fill }) => (fill.gap = '6 mm'));
		expect(valueOf(await saveSetup(db, asked(), id, gap, version, 'yd-mm')).version).toBe(version + 1);
		expect((await loadSpool(db, spoolId))!.version).toBe(0);
	});

	it('of a spool is asked for where a new set-up describes that spool otherwise', async () => {
		const { spoolId } = await create(db, measured(), 'yd-mm');
		const form = measured();
		form.spool.arbor = '45 mm';
		const unseen = await createSetup(db, asked(), form, 'yd-mm', { spoolId });
		expect(unseen).toMatchObject({ ...STALE, refusal: { current: { spoolId, spoolVersion: 0 } } });
		valueOf(await createSetup(db, asked(), form, 'yd-mm', { spoolId, spoolVersion: 0 }));
		expect((await loadSpool(db, spoolId))!).toMatchObject({ form: { arbor: '45 mm' }, version: 1 });
		expect(await createSetup(db, asked(), form, 'yd-mm', { spoolId: 'nobody' })).toMatchObject({ ok: false });
	});

	it('of the rules, and of a strand that was brought, as well', async () => {
		const rule = { job: 'clean', kinds: ['line'], everyDays: 30 } as const;
		expect(valueOf(await setCareRules(db, asked(), [rule], 0)).version).toBe(1);
		expect(await setCareRules(db, asked(), undefined, 0)).toMatchObject({
			...STALE,
			refusal: { current: { rules: [rule], version: 1 } }
		});
		expect(valueOf(await setCareRules(db, asked(), undefined, 1)).version).toBe(2);
		expect((await care(db, dayOf('2026-06-01'))).usual).toBe(true);
		expect(await setCareRules(db, asked(), [rule], 0)).toMatchObject(STALE);

		const id = '3f3f3f3f-1111-4111-8111-3f3f3f3f3f3f';
		const { made, length, note, role } = SINKER;
		const component = { made, length, note, role };
		const thing = { id, component, came: dayOf('2026-05-01'), label: 'drawer', at: 1 };
		expect(valueOf(await bring(db, thing, dayOf('2026-06-01'))).version).toBe(1);
		const described = { component: { made, length: '25 m', note: 'cut' }, version: 1 };
		expect(valueOf(await describeBrought(db, asked(), id, described)).version).toBe(2);
		expect(await describeBrought(db, asked(), id, described)).toMatchObject(STALE);
		expect((await strandsNow(db)).kept.find((one) => one.id === id)!.lengthMm).toBeCloseTo(25_000, 6);
	});

	it('of the techniques needs none: each is named by itself, and nobody undoes another', async () => {
		const { id } = await create(db, measured(), 'yd-mm');
		valueOf(await saveTechniques(db, asked(), id, { schools: { tag: 'trim' } }, 'yd-mm'));
		valueOf(await saveTechniques(db, asked(), id, { schools: { arborKnot: 'uni' } }, 'yd-mm'));
		valueOf(await saveTechniques(db, asked(), id, { schools: { tag: null } }, 'yd-mm'));
		expect((await loadSetup(db, id))!.form.fill.schools).toEqual({ arborKnot: 'uni' });
		expect(await saveTechniques(db, asked(), id, { version: 1, gap: '6 mm' }, 'yd-mm')).toMatchObject(STALE);
	});
});

describe('a write whose reply is lost', () => {
	it('is there once, however often it is tried: a set-up, its winding, a swap', async () => {
		const write = asked();
		const first = valueOf(await createSetup(db, write, measured(), 'yd-mm'));
		expect(valueOf(await createSetup(db, write, measured(), 'yd-mm'))).toEqual(first);
		const winding = asked();
		const record = valueOf(await recordWinding(db, winding, first.id, CAME, 'yd-mm'));
		expect(valueOf(await recordWinding(db, winding, first.id, CAME, 'yd-mm'))).toEqual(record);
		const swap = asked();
		const on = { spoolId: first.spoolId, keep: 1, on: [SINKER] };
		const planned = valueOf(await planSwap(db, swap, on, 'yd-mm'));
		expect(valueOf(await planSwap(db, swap, on, 'yd-mm'))).toEqual(planned);
		expect(await rack(db)).toHaveLength(1);
		expect(await listWindings(db)).toHaveLength(1);
	});

	it('answers an edit as it did, whatever was saved since', async () => {
		const { id, version } = await create(db, measured(), 'yd-mm');
		const [write, form] = [asked(), await changed(id, ({ fill }) => (fill.gap = '6 mm'))];
		const first = valueOf(await saveSetup(db, write, id, form, version, 'yd-mm'));
		const later = await changed(id, ({ fill }) => (fill.gap = '7 mm'));
		valueOf(await saveSetup(db, asked(), id, later, first.version, 'yd-mm'));
		expect(valueOf(await saveSetup(db, write, id, form, version, 'yd-mm'))).toEqual(first);
		expect((await loadSetup(db, id))!.form.fill.gap).toBe('7 mm');
	});
});

describe('the end of a job', () => {
	const turns = (id: string, n: number): RunEvent => ({
		id,
		at: 5,
		kind: 'turns',
		part: 'backing',
		turns: n
	});

	it('is whole or not at all: what could not be written down is when it is tried again', async () => {
		const { id } = await wound();
		await startRun(db, 'run-off', id, 'off.1');
		await db.raw(`create trigger falls before insert on care_events
			begin select raise(abort, 'disk I/O error'); end`);
		await expect(endJob(db, 'run-off', dayOf('2026-06-01'), false)).rejects.toThrow('disk I/O error');
		expect((await currentRun(db, id, ['off.1']))?.id).toBe('run-off');
		await db.raw('drop trigger falls');
		const written = valueOf(await endJob(db, 'run-off', dayOf('2026-06-01'), false));
		expect(written).toHaveLength(2);
		expect(valueOf(await endJob(db, 'run-off', dayOf('2026-06-01'), false))).toEqual(written);
		const line = (await care(db, dayOf('2026-06-02'))).entries.find(({ kept }) => kept.kind === 'line')!;
		expect(line.where).toMatch(/^on a coil/);
		expect(await currentRun(db, id, ['off.1'])).toBeUndefined();
	});

	it('by a winding is told by the winding, not by the clock; undone, the job goes on', async () => {
		const { id } = await create(db, measured(), 'yd-mm');
		await startRun(db, 'run-one', id);
		await addEvents(db, 'run-one', [turns('a', 300)]);
		const { id: record } = valueOf(await recordWinding(db, asked(), id, CAME, 'yd-mm'));
		// The next job may begin within the same millisecond, or after the clock was set back.
		await startRun(db, 'run-two', id);
		await db('runs').where({ id: 'run-two' }).update({ created_at: '2001-01-01T00:00:00.000Z' });
		expect(await currentRun(db, id)).toBeUndefined();
		await db('runs').where({ id: 'run-two' }).update({ created_at: '2999-01-01T00:00:00.000Z' });
		expect((await currentRun(db, id))?.id).toBe('run-two');
		await db('runs').where({ id: 'run-two' }).delete();
		valueOf(await takeBackWinding(db, asked(), record, true));
		expect((await currentRun(db, id))?.id).toBe('run-one');
		valueOf(await takeBackWinding(db, asked(), record, false));
		expect(await currentRun(db, id)).toBeUndefined();
	});

	it('ends every winding that was begun, so that none comes up again', async () => {
		const { id } = await create(db, measured(), 'yd-mm');
		await startRun(db, 'run-one', id);
		await addEvents(db, 'run-one', [{ id: 's', at: 1, kind: 'step', step: 'hand', done: true }]);
		await startRun(db, 'run-two', id);
		expect((await currentRun(db, id))?.id).toBe('run-two');
		valueOf(await recordWinding(db, asked(), id, CAME, 'yd-mm'));
		expect(await currentRun(db, id)).toBeUndefined();
		expect((await rack(db))[0]!.planned).toBeUndefined();
	});

	it('comes once from two windows that are both at the end of one job', async () => {
		const { id } = await create(db, measured(), 'yd-mm');
		await startRun(db, 'run-one', id);
		await addEvents(db, 'run-one', [turns('a', 300)]);
		const end = () => recordWinding(db, asked(), id, CAME, 'yd-mm', {}, { ends: 'run-one' });
		const first = valueOf(await end());
		expect(await end()).toEqual({ ok: false, refusal: { kind: 'used', answer: first } });
		expect(await listWindings(db)).toHaveLength(1);
		// Undone, it can be written down again.
		valueOf(await takeBackWinding(db, asked(), first.id, true));
		expect((await end()).ok).toBe(true);
	});

	it('is not the end of what was counted in a window that was away: it is kept with the winding', async () => {
		const { id } = await create(db, measured(), 'yd-mm');
		await startRun(db, 'run-one', id);
		expect(valueOf(await addEvents(db, 'run-one', [turns('a', 300)])).ended).toBe(false);
		valueOf(await recordWinding(db, asked(), id, CAME, 'yd-mm'));
		expect((await windingsOf(db, id))[0]!.run!.turns).toEqual({ backing: 300 });
		const late = [turns('b', 20), { id: 'c', at: 1, kind: 'remark', text: 'late' } as const];
		expect(valueOf(await addEvents(db, 'run-one', late)).ended).toBe(true);
		expect(valueOf(await addEvents(db, 'run-one', late)).ended).toBe(true);
		const { events } = (await runEvents(db, 'run-one', 0))!;
		expect(runState(events).turns.get('backing')).toBe(320);
		const [record] = await windingsOf(db, id);
		expect(record!.run).toMatchObject({ turns: { backing: 320 }, remarks: [{ text: 'late' }], hand: 'left' });
		// What the person wrote down stays as it was written.
		expect(record!.turns).toBe(320);
		expect(await currentRun(db, id)).toBeUndefined();
	});
});

describe('what was read before', () => {
	it('does not change under whoever has it', async () => {
		await wound();
		const before = await strandsNow(db);
		const [line] = before.kept.filter(({ kind }) => kind === 'line');
		const days = before.states.get(line!.id)!.daysOut;
		const size = before.states.size;
		const fished = {
			id: 'event-0001',
			day: dayOf('2026-06-01'),
			at: 1e12,
			kind: 'fished',
			days: 3,
			water: 'salt'
		};
		valueOf(await addCareEvents(db, [{ keptId: line!.id, event: fished as never }]));
		await create(db, newSetup(), 'yd-mm');
		expect((await strandsNow(db)).states.get(line!.id)!.daysOut).toBe(days + 3);
		expect([before.states.get(line!.id)!.daysOut, before.states.size]).toEqual([days, size]);
	});

	it('inside a write that was undone is forgotten with it', async () => {
		const { id } = await wound();
		await startRun(db, 'run-off', id, 'off.1');
		// Half of the events are in when it falls over; what was read of them meanwhile must not last.
		await db.raw(`create trigger falls after insert on care_events
			when (select count(*) from care_events) = 2 begin select raise(abort, 'disk I/O error'); end`);
		await expect(endJob(db, 'run-off', dayOf('2026-06-01'), false)).rejects.toThrow('disk I/O error');
		await db.raw('drop trigger falls');
		const { entries } = await care(db, dayOf('2026-06-02'));
		expect(entries.every(({ spoolId }) => spoolId !== null)).toBe(true);
	});
});
