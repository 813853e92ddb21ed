import { runState, type RunEvent } from '$lib/core';
import { MAX_EVENTS, RunEventShape } from '$lib/bench/run';
import { measured } from '$lib/setup/testing';
import type { Knex } from 'knex';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, expectTypeOf, it } from 'vitest';
import type { z } from 'zod';
import { openDatabase } from '../db/open';
import { eventsBesideTurns, openRuns } from '../repositories/runs';
import { addEvents, currentRun, followRun, runEvents, startRun } from './runs';
import { recordWinding } from './windings';
import { valueOf } from '../outcome';
import { asked, create } from '../testing';

let directory: string;
let db: Knex;
let setupId: string;
beforeEach(async () => {
	directory = mkdtempSync(join(tmpdir(), 'wendle-runs-'));
	db = await openDatabase(directory);
	setupId = (await create(db, measured(), 'yd-mm')).id;
});
afterEach(async () => {
	await db.destroy();
	rmSync(directory, { recursive: true, force: true });
});

const turns = (id: string, n: number): RunEvent => ({ id, at: 1, kind: 'turns', part: 'backing', turns: n });
const count = async (): Promise<number> =>
	runState((await runEvents(db, 'run', 0))!.events).turns.get('backing') ?? 0;

describe('a run that is kept', () => {
	it('starts once under its own id, on a set-up that is there', async () => {
		expect(await startRun(db, 'run', 'nowhere')).toMatchObject({ ok: false });
		expect(await startRun(db, 'run', setupId)).toMatchObject({ ok: true });
		expect(await startRun(db, 'run', setupId)).toMatchObject({ ok: true });
		expect((await currentRun(db, setupId))?.id).toBe('run');
		const other = (await create(db, measured(), 'yd-mm')).id;
		expect(await startRun(db, 'run', other)).toMatchObject({ ok: false });
	});

	it('ends with a record: the next job begins a run of its own', async () => {
		await startRun(db, 'run', setupId);
		const typed = { woundOn: '2026-04-01', turns: '700', depth: '', gap: '', note: '', who: '' };
		await recordWinding(db, asked(), setupId, typed, 'yd-mm');
		expect(await currentRun(db, setupId)).toBeUndefined();
		await startRun(db, 'next', setupId);
		expect((await currentRun(db, setupId))?.id).toBe('next');
	});

	it("takes what twenty benches send at once together, each once, and a bad one is in nobody's way", async () => {
		const benches = Array.from({ length: 20 }, (_, i) => `run-${i}`);
		for (const id of benches) await startRun(db, id, setupId);
		const bad = { ...turns('bad', 1), part: 7 } as unknown as RunEvent;
		let transactions = 0;
		const listen = ({ sql }: { sql: string }): void => void (transactions += sql === 'BEGIN;' ? 1 : 0);
		db.on('query', listen);
		const good = benches.map((id, i) => addEvents(db, id, [turns('a', i)]));
		expect((await Promise.all(good)).map(({ ok }) => ok)).toEqual(benches.map(() => true));
		expect(transactions).toBe(2);
		db.off('query', listen);
		const mixed = benches.map((id, i) => addEvents(db, id, [i === 7 ? bad : turns('b', 1)]));
		expect((await Promise.all(mixed)).map(({ ok }) => ok)).toEqual(benches.map((_, i) => i !== 7));
		const nowhere = [addEvents(db, 'run-0', [turns('c', 1)]), addEvents(db, 'nowhere', [turns('c', 1)])];
		expect((await Promise.all(nowhere)).map(({ ok }) => ok)).toEqual([true, false]);
		for (const [i, id] of benches.entries())
			expect((await runEvents(db, id, 0))!.events.map((event) => event.id)).toEqual([
				'a',
				...(i === 7 ? [] : ['b']),
				...(i === 0 ? ['c'] : [])
			]);
	});

	it('is looked through for its steps by an index, however long the count', async () => {
		const plans: string[] = [];
		const asks: string[] = [];
		const listen = ({ sql }: { sql: string }): void => void asks.push(sql);
		db.on('query', listen);
		await openRuns(db);
		await eventsBesideTurns(db, ['run']);
		db.off('query', listen);
		for (const sql of asks) {
			const plan = (await db.raw(`explain query plan ${sql}`, sql.includes('?') ? ['run'] : [])) as {
				detail: string;
			}[];
			plans.push(plan.map(({ detail }) => detail).join('; '));
		}
		expect(plans).toHaveLength(2);
		for (const plan of plans) expect(plan).toContain('run_events_beside_turns');
	});

	it('takes every event once, however often and in whatever portions it is sent', async () => {
		await startRun(db, 'run', setupId);
		await addEvents(db, 'run', [turns('a', 10), turns('b', 20)]);
		await addEvents(db, 'run', [turns('b', 20), turns('c', 5)]);
		await addEvents(db, 'run', [turns('a', 10), turns('b', 20), turns('c', 5)]);
		expect(await count()).toBe(35);
		expect((await runEvents(db, 'run', 0))!.events).toHaveLength(3);
	});

	it('tells what arrived after a number, and nothing twice', async () => {
		await startRun(db, 'run', setupId);
		const first = valueOf(await addEvents(db, 'run', [turns('a', 10)])).arrival;
		await addEvents(db, 'run', [turns('b', 20)]);
		const news = (await runEvents(db, 'run', first))!;
		expect(news.events.map(({ id }) => id)).toEqual(['b']);
		expect((await runEvents(db, 'run', news.arrival))!.events).toEqual([]);
	});

	it('takes a full request, and calls those who follow', async () => {
		await startRun(db, 'run', setupId);
		let called = 0;
		const stop = followRun('run', () => called++);
		await addEvents(
			db,
			'run',
			Array.from({ length: MAX_EVENTS }, (_, i) => turns(`e${i}`, 1))
		);
		stop();
		await addEvents(db, 'run', [turns('later', 1)]);
		expect(called).toBe(1);
		expect(await count()).toBe(MAX_EVENTS + 1);
	});

	it('knows nothing of a run that is not there', async () => {
		expect(await addEvents(db, 'none', [turns('a', 1)])).toMatchObject({
			ok: false,
			refusal: { kind: 'gone' }
		});
		expect(await runEvents(db, 'none', 0)).toBeUndefined();
	});

	it('survives closing the database', async () => {
		await startRun(db, 'run', setupId);
		await addEvents(db, 'run', [turns('a', 700)]);
		await db.destroy();
		db = await openDatabase(directory);
		expect(await count()).toBe(700);
	});
});

describe('the shape of an event', () => {
	it("that is sent is the core's own", () => {
		expectTypeOf<z.output<typeof RunEventShape>>().toExtend<RunEvent>();
		expectTypeOf<RunEvent>().toExtend<z.output<typeof RunEventShape>>();
	});
	it.each([
		{ id: 'a b', at: 1, kind: 'turns', part: 'backing', turns: 1 },
		{ id: 'a', at: -1, kind: 'turns', part: 'backing', turns: 1 },
		{ id: 'a', at: 1, kind: 'turns', part: 'backing', turns: 1e9 },
		{ id: 'a', at: 1, kind: 'turns', part: 'backing', turns: 1, extra: true },
		{ id: 'a', at: 1, kind: 'step', step: 'dance', done: true },
		{ id: 'a', at: 1, kind: 'shout' }
	])('refuses %j', (event) => {
		expect(RunEventShape.safeParse(event).success).toBe(false);
	});
});
