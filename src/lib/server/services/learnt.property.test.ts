import { dayOf, seededRandom } from '$lib/core';
import type { WindingForm } from '$lib/inventory/winding';
import { workOut } from '$lib/setup/evaluate-form';
import { measured } from '$lib/setup/testing';
import type { Knex } from 'knex';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase } from '../db/open';
import { asked, create } from '../testing';
import { learntHere, rackLearnt } from './learnt';
import { learntTold } from './learnt-told';
import { loadSetup } from './saved';
import { recordWinding } from './windings';

let directory: string;
let db: Knex;
beforeEach(async () => {
	directory = mkdtempSync(join(tmpdir(), 'wendle-learnt-any-'));
	db = await openDatabase(directory);
});
afterEach(async () => {
	await db.destroy();
	rmSync(directory, { recursive: true, force: true });
});

const SEEDS = process.env['WENDLE_LONG'] ? 40 : 3;
const WINDINGS = 25;

/** Every number of an answer. */
const numbersIn = (value: unknown): number[] => {
	if (typeof value === 'number') return [value];
	return typeof value === 'object' && value !== null ? Object.values(value).flatMap(numbersIn) : [];
};

describe('whatever was read, misread or mistyped of windings', () => {
	it.each(Array.from({ length: SEEDS }, (_, seed) => seed))(
		'is learnt from in finite numbers, seed %i',
		async (seed) => {
			const random = seededRandom(seed);
			const one = <T>(...of: readonly T[]): T => of[Math.floor(random.uniform() * of.length)]!;
			const some = (text: string): string => one('', text, text);
			for (let i = 0; i < WINDINGS; i++) {
				const form = measured();
				if (one(true, false)) form.spool.arbor = `${20 + 50 * random.uniform()} mm`;
				if (one(true, false, false)) form.spool.way = 'rated';
				form.spool.ratings[0]!.length = `${20 + 400 * random.uniform()} yd`;
				form.fill.halfFit = some(`${25 * random.uniform()} mm`);
				form.fill.winding = one('firm', 'loose', 'machine');
				const { id } = await create(db, form, 'yd-mm');
				const typed: WindingForm = {
					woundOn: `20${10 + Math.floor(30 * random.uniform())}-04-01`,
					turns: some(String(Math.floor(10 ** (5 * random.uniform())))),
					depth: some(`${one(12, 200 * random.uniform())} mm`),
					gap: some(`${one(4, 220 * random.uniform() - 20)} mm`),
					note: '',
					who: one('', 'Ada', ' ADA ', 'Bo')
				};
				await recordWinding(db, asked(), id, typed, 'yd-mm');
				const { form: saved, spoolId } = (await loadSetup(db, id))!;
				const learnt = await learntHere(db, saved, {
					setupId: id,
					spoolId,
					who: typed.who,
					today: dayOf('2045-01-01')
				});
				const [plain, worked] = [workOut(saved, 'yd-mm'), workOut(saved, 'yd-mm', learnt)];
				if (plain.ok) expect(worked.ok).toBe(true);
				if (worked.ok) expect(numbersIn(worked.value.estimate.ranges).every(Number.isFinite)).toBe(true);
			}
			expect((await rackLearnt(db)).learnt.converged).toBe(true);
			expect(numbersIn(await learntTold(db)).filter((n) => !Number.isFinite(n))).toEqual([]);
		},
		120_000
	);
});
