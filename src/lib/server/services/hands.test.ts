import type { WindingForm } from '$lib/inventory/winding';
import { measured } from '$lib/setup/testing';
import type { Knex } from 'knex';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase } from '../db/open';
import { forgetHand, hands } from './hands';
import { recordWinding } from './windings';
import { asked, create } from '../testing';

let directory: string;
let db: Knex;
beforeEach(async () => {
	directory = mkdtempSync(join(tmpdir(), 'wendle-hands-'));
	db = await openDatabase(directory);
});
afterEach(async () => {
	await db.destroy();
	rmSync(directory, { recursive: true, force: true });
});

const typed = (turns: string, depth: string): WindingForm => ({
	woundOn: '2026-04-01',
	turns,
	depth,
	gap: '',
	note: '',
	who: ''
});

async function wind(records: [turns: string, depth: string][], form = measured()): Promise<void> {
	for (const [turns, depth] of records) {
		const { id } = await create(db, form, 'yd-mm');
		const recorded = await recordWinding(db, asked(), id, typed(turns, depth), 'yd-mm');
		if (!recorded.ok) throw new Error(recorded.refusal.kind);
	}
}

describe('what finished fills teach', () => {
	it('nothing, before there are any, or when they were not counted', async () => {
		expect(await hands(db)).toEqual([]);
		await wind([
			['', '12 mm'],
			['900', '']
		]);
		expect(await hands(db)).toEqual([]);
	});

	it('one hand for each manner and material, narrower with every fill', async () => {
		await wind([['820', '12.3 mm']]);
		const [one] = await hands(db);
		expect(one).toMatchObject({ winding: 'firm', material: 'polyester-20' });
		expect(one!.posterior.share).toBeLessThan(one!.prior.share);
		expect(one!.posterior.layEfficiency).toBeLessThan(0.9);
		await wind([
			['830', '12.2 mm'],
			['815', '12.4 mm']
		]);
		const [three] = await hands(db);
		expect(three!.fills).toHaveLength(3);
		expect(three!.posterior.share).toBeLessThan(one!.posterior.share);

		const loose = measured();
		loose.fill.winding = 'loose';
		await wind([['700', '12.3 mm']], loose);
		expect((await hands(db)).map(({ winding, fills }) => [winding, fills.length])).toEqual([
			['firm', 3],
			['loose', 1]
		]);
	});

	it('forgets on request, keeps the data in view, and remembers again', async () => {
		const which = { winding: 'firm', material: 'polyester-20' };
		await wind([['820', '12.3 mm']]);
		const [before] = await hands(db);
		await forgetHand(db, asked(), { ...which, forget: true });
		const [forgot] = await hands(db);
		expect(forgot!.fills.map(({ counts }) => counts)).toEqual([false]);
		expect(forgot!.posterior.layEfficiency).toBeCloseTo(0.9, 9);
		await forgetHand(db, asked(), { ...which, forget: false });
		const [again] = await hands(db);
		expect(again!.fills[0]!.counts).toBe(true);
		expect(again!.posterior.layEfficiency).toBeCloseTo(before!.posterior.layEfficiency, 6);
		expect(again!.posterior.share).toBeCloseTo(before!.posterior.share, 6);
	});

	it('learns little from a spool that only its box tells of, and nothing from a depth that cannot be', async () => {
		await wind([['820', '40 mm']]);
		const [none] = await hands(db);
		expect(none!.posterior.layEfficiency).toBeCloseTo(0.9, 2);
		expect(none!.posterior.share).toBeCloseTo(none!.prior.share, 3);
		const boxed = measured();
		boxed.spool.way = 'rated';
		boxed.spool.ratings[0]!.length = '170 yd';
		await wind([['820', '12.3 mm']], boxed);
		const [little] = await hands(db);
		await wind([['820', '12.3 mm']]);
		const [more] = await hands(db);
		const narrowed = (hand: typeof little): number => 1 - hand!.posterior.share / hand!.prior.share;
		expect(narrowed(little)).toBeGreaterThan(0);
		expect(narrowed(more)).toBeGreaterThan(2 * narrowed(little));
	});
});
