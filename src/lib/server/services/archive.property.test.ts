import { dayOf } from '$lib/core';
import { ORDER_STATES } from '$lib/orders/order';
import { measured } from '$lib/setup/testing';
import { newStock } from '$lib/stock/new-stock';
import fc from 'fast-check';
import type { Knex } from 'knex';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openDatabase } from '../db/open';
import { migrationSource } from '../migrations';
import { writeDatabaseOf } from '../migrations/older-testing';
import { valueOf } from '../outcome';
import { asked, create } from '../testing';
import { bringIn, exportArchive } from './archive';
import { readArchive } from './archive-file';
import { addCareEvents } from './care';
import { strandsNow } from './inventory';
import { board, createOrder, moveOrder, removeOrder } from './orders';
import { rack, removeSpool, saveSetup } from './setups';
import { addStockEvent, createStock, keepPlan, removeStock, takeBackStockEvent } from './stock';
import { needsNow, stockEntries } from './stock-needs';
import { everyWinding, recordWinding, takeBackWinding } from './windings';
import { loadSetup } from './saved';

/** Every version but the one that is tested. */
const EARLIER = (await migrationSource.getMigrations([])).slice(0, -1);
const TODAY = dayOf('2026-12-01');
let root: string;
beforeEach(() => (root = mkdtempSync(join(tmpdir(), 'wendle-archives-'))));
afterEach(() => rmSync(root, { recursive: true, force: true }));

/** Text as people type it: of any letters, with quotes, commas and line ends. */
const text = fc.string({ unit: 'grapheme', maxLength: 30 });

/** Something that somebody does in a kit room; what there is to do it to is chosen by `of`. */
const deed = fc.record({
	kind: fc.constantFrom(
		'spool',
		'change',
		'wind',
		'undo winding',
		'take off',
		'care',
		'order',
		'move',
		'drop order',
		'stock',
		'cut',
		'put back',
		'sell',
		'plan'
	),
	of: fc.nat(1000),
	text,
	size: fc.integer({ min: 20, max: 90 })
});
type Deed = typeof deed extends fc.Arbitrary<infer T> ? T : never;

const pick = <T>(all: readonly T[], of: number): T | undefined => all[of % Math.max(all.length, 1)];

const DEEDS: Record<Deed['kind'], (db: Knex, deed: Deed) => Promise<unknown>> = {
	spool: (db, { text, size }) => {
		const form = measured(`${size + 20} mm`, '30 mm', '20 mm');
		return create(db, { ...form, spool: { ...form.spool, name: text } }, 'yd-mm');
	},
	change: async (db, { of, text }) => {
		const spool = pick(await rack(db), of);
		const setup = spool?.planned && (await loadSetup(db, spool.planned.id));
		if (!setup) return;
		const form = { ...setup.form, spool: { ...setup.form.spool, name: text } };
		return saveSetup(db, asked(), setup.id, form, setup.version, 'yd-mm');
	},
	wind: async (db, { of, text, size }) => {
		const setup = pick(await rack(db), of)?.planned;
		const winding = {
			woundOn: '2026-11-30',
			turns: String(8 * size),
			depth: '',
			gap: '4 mm',
			note: text,
			who: text
		};
		return setup && recordWinding(db, asked(), setup.id, winding, 'yd-mm');
	},
	'undo winding': async (db, { of }) => {
		const winding = pick(await everyWinding(db), of);
		return winding && takeBackWinding(db, asked(), winding.id, true);
	},
	'take off': async (db, { of }) => {
		const spool = pick(await rack(db), of);
		return spool && removeSpool(db, asked(), spool.id);
	},
	care: async (db, { of, text }) => {
		const strand = pick((await strandsNow(db)).kept, of);
		const event = {
			id: `event-${of}-${text.length}`,
			day: TODAY,
			at: of,
			kind: 'cleaned',
			note: text
		} as const;
		return strand && addCareEvents(db, [{ keptId: strand.id, event }]);
	},
	order: (db, { text, size }) =>
		createOrder(
			db,
			asked(),
			{
				who: text,
				due: '',
				notes: text,
				prices: [],
				reels: [{ wish: `WF${(size % 9) + 1}F on my reel, 20 lb` }]
			},
			'yd-mm',
			TODAY
		),
	move: async (db, { of, size }) => {
		const order = pick((await board(db)).orders, of);
		return order && moveOrder(db, asked(), order.id, pick(ORDER_STATES, size)!);
	},
	'drop order': async (db, { of }) => {
		const order = pick((await board(db)).orders, of);
		return order && removeOrder(db, asked(), order.id, true);
	},
	stock: (db, { text, size }) =>
		createStock(
			db,
			asked(),
			{ ...newStock('bulk'), name: text, note: text, length: `${10 * size} m` },
			'yd-mm'
		),
	cut: async (db, { of, size }) => {
		const entry = pick(await stockEntries(db), of);
		const event = { kind: 'cut', amount: `${size} m`, day: '2026-12-01', places: 1, note: '' } as const;
		return entry && addStockEvent(db, asked(), entry.id, event, 'yd-mm');
	},
	'put back': async (db, { of }) => {
		const entry = pick(await stockEntries(db), of);
		const event = entry && pick(entry.events, of);
		return entry && event && takeBackStockEvent(db, asked(), entry.id, event.id, true);
	},
	sell: async (db, { of }) => {
		const entry = pick(await stockEntries(db), of);
		return entry && removeStock(db, asked(), entry.id, true);
	},
	plan: async (db, { of }) => {
		const [entry, need] = [pick(await stockEntries(db), of), pick(await needsNow(db), of)];
		return entry && need && keepPlan(db, asked(), { [need.id]: entry.id });
	}
};

/** Everything in a database but the moment it was looked at. */
async function contentOf(db: Knex) {
	const read = readArchive(await exportArchive(db));
	if (!read.ok) throw new Error(JSON.stringify(read.issues));
	return { archive: read.value, rows: read.value.rows };
}

/** Moves everything out of a database into an empty one. */
async function movedWhole(from: Knex, to: Knex): Promise<void> {
	const { archive, rows } = await contentOf(from);
	valueOf(await bringIn(to, asked(), archive, 'add'));
	expect((await contentOf(to)).rows).toEqual(rows);
	expect(await rack(to)).toEqual(await rack(from));
	expect(await board(to)).toEqual(await board(from));
	expect(await stockEntries(to)).toEqual(await stockEntries(from));
}

let rooms = 0;
async function between(
	work: (from: Knex, to: Knex) => Promise<void>,
	begin?: (filename: string) => Promise<void>
): Promise<void> {
	const folder = join(root, String(++rooms));
	mkdirSync(join(folder, 'from'), { recursive: true });
	await begin?.(join(folder, 'from', 'wendle.sqlite'));
	const dbs = [await openDatabase(join(folder, 'from')), await openDatabase(join(folder, 'to'))] as const;
	try {
		await work(...dbs);
	} finally {
		for (const db of dbs) await db.destroy();
	}
}

describe('an archive loses nothing', () => {
	it('of any kit room, whatever was done in it', { timeout: 300_000 }, () =>
		fc.assert(
			fc.asyncProperty(fc.array(deed, { minLength: 5, maxLength: 40 }), (deeds) =>
				between(async (from, to) => {
					for (const one of deeds) await DEEDS[one.kind](from, one);
					await movedWhole(from, to);
				})
			),
			{ numRuns: process.env['WENDLE_LONG'] ? 300 : 12 }
		)
	);

	it.each(EARLIER.map(({ name }, i) => [name, i + 1] as const))(
		'of a database that version %s left',
		(_, version) =>
			between(
				async (from, to) => {
					expect((await rack(from)).length).toBeGreaterThan(0);
					await movedWhole(from, to);
				},
				(filename) => writeDatabaseOf(version, filename)
			)
	);
});
