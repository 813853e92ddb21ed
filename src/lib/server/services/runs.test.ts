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
