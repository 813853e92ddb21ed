import { findKnot, KNOTS, dayOf } from '$lib/core';
import { measured } from '$lib/setup/testing';
import type { Knex } from 'knex';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase } from '../db/open';
import { dueInTime, practice, practised, READY_DAYS, setSeason } from './practice';
import { asked, create } from '../testing';

let directory: string;
let db: Knex;
beforeEach(async () => {
	directory = mkdtempSync(join(tmpdir(), 'wendle-practice-'));
	db = await openDatabase(directory);
});
afterEach(async () => {
	await db.destroy();
	rmSync(directory, { recursive: true, force: true });
});

const DAY_MS = 86_400_000;
const START = new Date('2026-01-10T18:00:00Z');
const after = (days: number): Date => new Date(START.getTime() + days * DAY_MS);
let count = 0;
const session = (right: number, asked = 3, slug = 'nail-knot') => ({
	id: `session-${(count += 1)}`,
	slug,
	right,
	asked
});
const of = async (slug: string, now: Date) =>
	(await practice(db, now)).knots.find((knot) => knot.slug === slug)!;
const daysTo = (dueAt: string | null, from: Date): number => (Date.parse(dueAt!) - from.getTime()) / DAY_MS;

describe('knots that are practised', () => {
	it('lists every knot that is drawn, none of them known yet', async () => {
		const { knots, windsOn } = await practice(db, START);
		expect(knots.map(({ slug }) => slug)).toEqual(KNOTS.map(({ slug }) => slug));
		expect(knots[0]).toMatchObject({ dueAt: null, sessions: 0, remembered: 0, inUse: false });
		expect(windsOn).toBeNull();
	});
	it('come again later the better they went, and sooner when they were forgotten', async () => {
		await practised(db, session(3), START);
		await practised(db, session(2, 3, 'albright'), START);
		await practised(db, session(0, 3, 'uni-arbor'), START);
		const [good, hard, again] = await Promise.all(
			['nail-knot', 'albright', 'uni-arbor'].map(async (slug) => daysTo((await of(slug, START)).dueAt, START))
		);
		expect(good).toBeGreaterThan(hard!);
		expect(hard).toBeGreaterThanOrEqual(again!);
		const first = await of('nail-knot', START);
		const later = new Date(first.dueAt!);
		await practised(db, session(3), later);
		const second = await of('nail-knot', later);
		expect(second.sessions).toBe(2);
		expect(daysTo(second.dueAt, later)).toBeGreaterThan(good!);
		expect((await of('nail-knot', new Date(later.getTime() + 200 * DAY_MS))).remembered).toBeLessThan(
			second.remembered
		);
	});
	it('count a session once, however often it is sent, and know no knot that is not drawn', async () => {
		const sent = session(3);
		expect(await practised(db, sent, START)).toMatchObject({ ok: true });
		expect(await practised(db, sent, after(1))).toMatchObject({ ok: true });
		expect(await of('nail-knot', START)).toMatchObject({ sessions: 1, practisedAt: START.toISOString() });
		expect(await practised(db, session(1, 1, 'granny'), START)).toMatchObject({ ok: false });
	});
	it('are due in time for the day the spools are wound, however well they are known', async () => {
		let now = START;
		for (let i = 0; i < 6; i++) {
			await practised(db, session(3), now);
			now = new Date((await of('nail-knot', now)).dueAt!);
		}
		await practised(db, session(3), now);
		const free = (await of('nail-knot', now)).dueAt!;
		const windsOn = new Date(now.getTime() + 40 * DAY_MS).toISOString().slice(0, 10);
		expect(Date.parse(free)).toBeGreaterThan(Date.parse(windsOn));
		await setSeason(db, asked(), dayOf(windsOn));
		const { dueAt } = await of('nail-knot', now);
		expect((Date.parse(windsOn) - Date.parse(dueAt!)) / DAY_MS).toBe(READY_DAYS);
		await setSeason(db, asked(), null);
		expect((await of('nail-knot', now)).dueAt).toBe(free);
	});
	it('a day that is past brings nothing forward, nor one that a session falls close before', () => {
		const due = after(90);
		const day = (days: number) => dayOf(after(days).toISOString().slice(0, 10));
		expect(dueInTime(due, day(-3), START)).toEqual(due);
		expect(dueInTime(due, day(READY_DAYS - 2), START)).toEqual(due);
		expect(dueInTime(due, day(60), START).getTime()).toBeLessThan(after(60 - READY_DAYS + 1).getTime());
		expect(dueInTime(after(5), day(60), START)).toEqual(after(5));
		expect(dueInTime(due, null, START)).toEqual(due);
	});
	it('tell which are tied on the rack', async () => {
		await create(db, measured(), 'yd-mm');
		const inUse = (await practice(db, START)).knots.filter((knot) => knot.inUse).map(({ slug }) => slug);
		expect(inUse).toContain('overhand-arbor');
		expect(inUse.every((slug) => findKnot(slug))).toBe(true);
		expect(inUse).not.toContain('wire-crimp');
	});
});
