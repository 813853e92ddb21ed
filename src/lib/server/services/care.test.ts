import { USUAL_RULES, type CareEvent, dayOf } from '$lib/core';
import { measured } from '$lib/setup/testing';
import ICAL from 'ical.js';
import type { Knex } from 'knex';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase } from '../db/open';
import { calendarFile } from './calendar';
import { addCareEvents, bring, care, history, setCareRules } from './care';
import { swapChoice } from './swaps';
import { recordWinding } from './windings';
import { asked, create } from '../testing';

let directory: string;
let db: Knex;
beforeEach(async () => {
	directory = mkdtempSync(join(tmpdir(), 'wendle-care-'));
	db = await openDatabase(directory);
});
afterEach(async () => {
	await db.destroy();
	rmSync(directory, { recursive: true, force: true });
});

const FORM = { turns: '', depth: '', gap: '', note: '', who: '' };
async function wound(woundOn: string, spoolId?: string): Promise<{ id: string; spoolId: string }> {
	const made = await create(db, measured(), 'yd-mm', spoolId === undefined ? undefined : { spoolId });
	const recorded = await recordWinding(db, asked(), made.id, { ...FORM, woundOn }, 'yd-mm');
	if (!recorded.ok) throw new Error(recorded.refusal.kind);
	return made;
}
const entry = async (kind: string, today: string) => {
	const found = (await care(db, dayOf(today))).entries.find((one) => one.kept.kind === kind);
	if (!found) throw new Error(`no ${kind}`);
	return found;
};
let count = 0;
const event = (day: string, rest: Record<string, unknown>): CareEvent =>
	({ id: `event-${(count += 1)}-x`, at: 1e12 + count, day: dayOf(day), ...rest }) as unknown as CareEvent;

describe('what is looked after', () => {
	it('is what was wound, where it was wound; nothing before', async () => {
		expect((await care(db, dayOf('2026-06-01'))).entries).toEqual([]);
		const { spoolId } = await wound('2026-04-01');
		const { entries, usual, rules } = await care(db, dayOf('2026-06-01'));
		expect(entries.map(({ kept }) => kept.kind).sort()).toEqual(['backing', 'line']);
		expect(entries.every((one) => one.spoolId === spoolId)).toBe(true);
		expect([usual, rules]).toEqual([true, USUAL_RULES]);
	});
	it('another line on the same spool puts the one before on a coil: both are found', async () => {
		const first = await wound('2026-04-01');
		await wound('2026-05-01', first.spoolId);
		const { entries } = await care(db, dayOf('2026-06-01'));
		const lines = entries.filter(({ kept }) => kept.kind === 'line');
		expect(lines).toHaveLength(2);
		expect(lines.map(({ spoolId }) => spoolId).sort()).toEqual([first.spoolId, null].sort());
		expect(lines.find(({ spoolId }) => spoolId === null)!.where).toMatch(/^on a coil: off /);
	});
	it('twelve days out make a line due to be cleaned; cleaned, it is not; undone, it is again', async () => {
		await wound('2026-04-01');
		const { kept } = await entry('line', '2026-06-01');
		const add = (one: CareEvent) => addCareEvents(db, [{ keptId: kept.id, event: one }]);
		const overdue = async () =>
			(await entry('line', '2026-06-02')).dues.filter((due) => due.overdue).map(({ job }) => job);
		expect(await overdue()).toEqual([]);
		const fished = event('2026-06-01', { kind: 'fished', days: 12, water: 'fresh' });
		expect(await add(fished)).toMatchObject({ ok: true });
		// Sent again it counts once.
		await add(fished);
		expect((await entry('line', '2026-06-02')).state.daysOut).toBe(12);
		expect(await overdue()).toEqual(['clean']);
		const cleaned = event('2026-06-02', { kind: 'cleaned' });
		await add(cleaned);
		expect(await overdue()).toEqual([]);
		await add(event('2026-06-02', { kind: 'undone', of: cleaned.id }));
		expect(await overdue()).toEqual(['clean']);
	});
	it('what is about something that is not there is not written at all', async () => {
		await wound('2026-04-01');
		const { kept } = await entry('line', '2026-06-01');
		const day = event('2026-06-01', { kind: 'fished', days: 1, water: 'fresh' });
		expect(
			await addCareEvents(db, [
				{ keptId: kept.id, event: day },
				{ keptId: 'ghost', event: event('2026-06-01', { kind: 'cleaned' }) }
			])
		).toMatchObject({ ok: false });
		expect((await entry('line', '2026-06-01')).state.daysOut).toBe(0);
	});
	it('goes by the rules that were edited, and by the usual ones again', async () => {
		await wound('2026-04-01');
		await setCareRules(db, asked(), [{ job: 'clean', kinds: ['line'], everyDays: 30 }]);
		expect((await entry('line', '2026-05-01')).dues).toMatchObject([
			{ job: 'clean', on: dayOf('2026-05-01'), overdue: true }
		]);
		await setCareRules(db, asked(), undefined);
		expect((await care(db, dayOf('2026-05-01'))).usual).toBe(true);
	});
});

describe('what was there before it was wound here', () => {
	const made = { way: 'class', class: { taper: 'WF', number: 6, density: 'S' } } as const;
	const thing = (rest: Record<string, unknown> = {}) => ({
		id: '3f3f3f3f-1111-4111-8111-3f3f3f3f3f3f',
		component: { role: 'line' as const, made, length: '', note: 'deep one' },
		came: dayOf('2026-03-01'),
		label: 'blue drawer',
		at: 5,
		...rest
	});
	it('is on its coil: new it has no twist, used nobody knows', async () => {
		await bring(db, thing(), dayOf('2026-06-01'));
		const fresh = await entry('line', '2026-06-01');
		expect(fresh.where).toBe('on a coil: blue drawer');
		expect(fresh.state.twist.perMetre.mean).toBe(0);
		expect(fresh.state.twist.perMetre.sd).toBeLessThan(0.2);
		const used = { days: 30, water: 'salt' as const };
		await bring(db, thing({ id: '4f3f3f3f-1111-4111-8111-3f3f3f3f3f3f', used }), dayOf('2026-06-01'));
		const old = (await care(db, dayOf('2026-06-01'))).entries.find(({ kept }) => kept.id.startsWith('4'))!;
		expect(old.state.twist.perMetre.sd).toBeGreaterThan(0.4);
		expect([old.state.daysOut, old.state.saltDays, old.state.last.came?.day]).toEqual([
			30,
			30,
			dayOf('2026-03-01')
		]);
		expect(old.state.last.moved?.day).toEqual(dayOf('2026-06-01'));
		expect(old.dues.some(({ job }) => job === 'judge')).toBe(true);
	});
	it('sent again it is there once; what makes no sense is not there', async () => {
		await bring(db, thing(), dayOf('2026-06-01'));
		await bring(db, thing({ label: 'elsewhere' }), dayOf('2026-06-02'));
		const { entries } = await care(db, dayOf('2026-06-01'));
		expect(entries.map(({ where }) => where)).toEqual(['on a coil: blue drawer']);
		const bad = await bring(
			db,
			thing({ id: 'x', component: { ...thing().component, length: 'as usual' } }),
			dayOf('2026-06-01')
		);
		expect(bad).toMatchObject({ ok: false, refusal: { issues: [{ path: ['component', 'length'] }] } });
		expect((await care(db, dayOf('2026-06-01'))).entries).toHaveLength(1);
	});
	it('undone it is gone, and can be brought in again; wound, it is where it was wound', async () => {
		await bring(db, thing(), dayOf('2026-06-01'));
		const { id } = (await entry('line', '2026-06-01')).kept;
		const back = event('2026-06-01', { kind: 'undone', of: `${id}:came` });
		expect(await addCareEvents(db, [{ keptId: id, event: back }])).toMatchObject({ ok: true });
		expect((await care(db, dayOf('2026-06-01'))).entries).toEqual([]);
		expect(await history(db, id)).toBeUndefined();
		const again = event('2026-06-01', { kind: 'undone', of: back.id });
		expect(await addCareEvents(db, [{ keptId: id, event: again }])).toMatchObject({ ok: true });
		const { spoolId } = await wound('2026-06-02');
		const choice = (await swapChoice(db, spoolId))!;
		expect(choice.candidates).toMatchObject([
			{ keptId: id, label: 'deep one', where: 'blue drawer', from: 'coil' }
		]);
		const { form } = choice.now.record;
		const stack = [form.fill.stack[0]!, choice.candidates[0]!.component];
		const other = await create(db, { ...form, fill: { ...form.fill, stack } }, 'yd-mm', { spoolId });
		await recordWinding(db, asked(), other.id, { ...FORM, woundOn: '2026-06-03' }, 'yd-mm');
		const { entries } = await care(db, dayOf('2026-06-04'));
		const now = entries.find(({ kept }) => kept.id === id)!;
		expect([now.spoolId, now.kept.label]).toEqual([spoolId, 'deep one']);
		expect(now.state.events.map(({ kind }) => kind)).toEqual(['came', 'moved', 'moved']);
	});
});

describe('the calendar file, read by another parser (ical.js)', () => {
	const zone = process.env['TZ'];
	afterEach(() => {
		process.env['TZ'] = zone ?? '';
	});
	const read = (text: string) =>
		new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((part) => {
			const one = new ICAL.Event(part);
			return {
				uid: one.uid,
				sequence: one.sequence,
				day: one.startDate.toString(),
				until: one.endDate.toString(),
				whole: one.startDate.isDate,
				summary: one.summary,
				alarms: part.getAllSubcomponents('valarm').length
			};
		});
	it.each(['Pacific/Kiritimati', 'America/Anchorage', 'Europe/Dublin'])(
		'in %s each stands on its day, whole, across daylight saving',
		async (tz) => {
			await wound('2025-10-26');
			await setCareRules(db, asked(), [
				{ job: 'respool', kinds: ['line'], everyDays: 154 },
				{ job: 'clean', kinds: ['line'], everyDays: 365 }
			]);
			process.env['TZ'] = tz;
			const events = read(
				calendarFile((await care(db, dayOf('2026-01-01'))).entries, dayOf('2026-01-01'), 'http://here')
			);
			expect(events.map(({ day, until, whole, alarms }) => [day, until, whole, alarms])).toEqual([
				['2026-03-29', '2026-03-30', true, 1],
				['2026-10-26', '2026-10-27', true, 1]
			]);
			expect(events[0]!.summary).toContain('Take the twist out');
		}
	);
	it('what is unchanged keeps its name and sequence, whatever else is written down', async () => {
		await wound('2026-04-01');
		const of = async (today: string) =>
			read(calendarFile((await care(db, dayOf(today))).entries, dayOf(today), 'http://here'));
		const before = await of('2026-05-01');
		const { kept } = await entry('line', '2026-05-01');
		await addCareEvents(db, [
			{ keptId: kept.id, event: event('2026-05-02', { kind: 'fished', days: 2, water: 'salt' }) }
		]);
		expect(await of('2026-05-03')).toEqual(before);
		await addCareEvents(db, [{ keptId: kept.id, event: event('2026-05-04', { kind: 'respooled' }) }]);
		const after = await of('2026-05-05');
		expect(after.filter(({ uid }) => before.some((one) => one.uid === uid))).toHaveLength(before.length - 1);
		expect(new Set(after.map(({ uid }) => uid)).size).toBe(after.length);
	});
	it('what is overdue stands on today, and its sequence counts up', async () => {
		await wound('2026-04-01');
		const { kept } = await entry('line', '2026-05-01');
		await addCareEvents(db, [
			{ keptId: kept.id, event: event('2026-05-02', { kind: 'fished', days: 9, water: 'fresh' }) }
		]);
		const clean = async (today: string) =>
			read(calendarFile((await care(db, dayOf(today))).entries, dayOf(today), 'http://here')).find(
				({ summary }) => summary.startsWith('Clean')
			)!;
		const [first, second] = [await clean('2026-05-03'), await clean('2026-05-04')];
		expect([first.day, second.day]).toEqual(['2026-05-03', '2026-05-04']);
		expect(second.uid).toBe(first.uid);
		expect(second.sequence).toBe(first.sequence + 1);
	});
});
