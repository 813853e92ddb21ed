import { dayOf } from '$lib/core';
import {
	AddCareEvents,
	asCareEvent,
	asRules,
	BringThing,
	CareRules,
	DescribeThing,
	SaveRules
} from '$lib/inventory/care';
import { ForgetHand } from '$lib/inventory/hand';
import { Practised, Season } from '$lib/bench/practice';
import { AddEvents, EndRun, StartRun } from '$lib/bench/run';
import { CreateSetup, SaveSetup, SaveTechniques } from '$lib/setup/form';
import { WindingForm } from '$lib/inventory/winding';
import { SwapRequest } from '$lib/server/api/swap';
import { measured } from '$lib/setup/testing';
import fc from 'fast-check';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { z } from 'zod';
import { openDatabase } from '../db/open';
import { valueOf, type Outcome } from '../outcome';
import { asked, create } from '../testing';
import { benchJob, endJob } from './bench';
import { calendarFile } from './calendar';
import {
	addCareEvents,
	bring,
	brought,
	care,
	carePage,
	describeBrought,
	history,
	setCareRules
} from './care';
import { forgetHand, hands } from './hands';
import { practice, practised, setSeason } from './practice';
import { addEvents, runEvents, startRun } from './runs';
import { loadSetup } from './saved';
import { createSetup, rack, saveSetup, saveTechniques } from './setups';
import { planSwap } from './swaps';
import { unreadable } from './unreadable';
import { windingsOf, recordWinding, takeBackWinding } from './windings';
import { USUAL_FILTER } from '$lib/inventory/care-rows';

let directory: string;
let db: Knex;
let setupId: string;
let spoolId: string;
const TODAY = dayOf('2026-06-01');
const THING = '3f3f3f3f-1111-4111-8111-3f3f3f3f3f3f';
const LINE = { way: 'class', class: { taper: 'WF', number: 6, density: 'S' } } as const;

beforeAll(async () => {
	directory = mkdtempSync(join(tmpdir(), 'wendle-accepted-'));
	db = await openDatabase(directory);
	({ id: setupId, spoolId } = await create(db, measured(), 'yd-mm'));
	valueOf(await recordWinding(db, asked(), setupId, RECORD, 'yd-mm'));
	valueOf(await bring(db, BringThing.parse(BRING), TODAY));
});
beforeEach(async () => {
	const { version } = (await loadSetup(db, setupId))!;
	valueOf(await saveSetup(db, asked(), setupId, measured(), version, 'yd-mm'));
});
afterAll(async () => {
	await db.destroy();
	rmSync(directory, { recursive: true, force: true });
});

const RECORD = {
	woundOn: '2026-05-01', turns: '320', depth: '9 mm', gap: '4 mm', note: 'n', who: 'me',
	travelled: [{ part: 'line', source: 'line-spool', leaving: 'turning', seen: 'clockwise' } as const]
}; // prettier-ignore
const BRING = {
	id: THING,
	component: { role: 'line', made: LINE, length: '25 m', note: 'deep' } as const,
	came: '2026-03-01',
	label: 'blue drawer',
	used: { days: 3, water: 'salt' as const },
	at: 5
};
const at = 1_780_000_000_000;
const EVENTS = [
	{ kind: 'step', step: 'wind:backing', done: true, plannedSeconds: 9 },
	{ kind: 'tool', tool: 'scissors', here: true },
	{ kind: 'turns', part: 'backing', turns: 20, by: 'hand' },
	{ kind: 'counter', part: 'backing', session: 'one', seq: 1, total: 40, base: true },
	{ kind: 'depth', part: 'backing', depthMm: 9 },
	{ kind: 'remark', text: 'slow', step: 'wind:backing' },
	{ kind: 'photo', photo: 'photo-1', step: 'wind:backing' },
	{ kind: 'coil', part: 'line', label: 'drawer' },
	{ kind: 'loop-test', bightMm: 1000, spins: 2 },
	{ kind: 'tug', result: 'passed' }
].map((event, i) => ({ id: `e-${i}`, at: at + i, ...event }));
const CARE = [
	{ kind: 'moved', to: { on: 'coil', label: 'drawer' }, turns: { mean: 1, sd: 1 }, gapMm: 4 },
	{ kind: 'fished', days: 3, water: 'salt', note: 'n' },
	{ kind: 'shortened', byMm: 500 },
	{ kind: 'let-out', share: 0.5, shareSd: 0.1 },
	{ kind: 'loop-test', bightMm: 1000, spins: 2 }
].map((event, i) => ({ id: `care-event-${i}`, day: '2026-05-02', at: at + i, ...event }));

/** A body that is taken, and what is done with it; `back` is where it is read again. */
interface Taken<S extends z.ZodType = z.ZodType> {
	readonly shape: S;
	readonly body: () => unknown;
	readonly act: (body: z.output<S>) => Promise<Outcome<unknown>>;
}
const taken = <S extends z.ZodType>(one: Taken<S>): Taken => one as unknown as Taken;

/** Ids that are fresh each time: what was written under the others stays as it was. */
const fresh = <E extends { id: string }>(events: readonly E[]): E[] =>
	events.map((event) => ({ ...event, id: `${event.id}-${randomUUID()}`.slice(0, 60) }));

const BODIES: Record<string, Taken> = {
	'a new set-up': taken({
		shape: CreateSetup,
		body: () => ({ form: measured() }),
		act: ({ form }) => createSetup(db, asked(), form, 'yd-mm')
	}),
	'a set-up': taken({
		shape: SaveSetup,
		body: () => ({ form: measured(), version: 1 }),
		act: async ({ form }) =>
			saveSetup(db, asked(), setupId, form, (await loadSetup(db, setupId))!.version, 'yd-mm')
	}),
	techniques: taken({
		shape: SaveTechniques,
		body: () => ({ gap: '5 mm', joints: { line: 'nail' }, schools: { tag: 'trim' }, arborTurns: 2 }),
		act: (ways) => saveTechniques(db, asked(), setupId, ways, 'yd-mm')
	}),
	'a winding': taken({
		shape: WindingForm,
		body: () => RECORD,
		act: (typed) => recordWinding(db, asked(), setupId, typed, 'yd-mm')
	}),
	'a swap': taken({
		shape: SwapRequest,
		body: () => ({ spoolId, keep: 1, on: [{ role: 'line', made: LINE, length: '25 m', note: 'sinker' }] }),
		act: (swap) => planSwap(db, asked(), swap, 'yd-mm')
	}),
	'a job at the bench': taken({
		shape: AddEvents,
		body: () => ({ events: EVENTS }),
		act: async ({ events }) => {
			const run = randomUUID();
			valueOf(await startRun(db, run, setupId));
			const added = await addEvents(db, run, fresh(events));
			if (added.ok) expect((await runEvents(db, run, 0))!.events).toHaveLength(events.length);
			const { id } = valueOf(await recordWinding(db, asked(), setupId, RECORD, 'yd-mm'));
			expect((await windingsOf(db, setupId)).some((record) => record.id === id)).toBe(true);
			valueOf(await takeBackWinding(db, asked(), id, true));
			return added;
		}
	}),
	'the start of a job': taken({
		shape: StartRun,
		body: () => ({ setupId, job: 'untwist.line.40000' }),
		act: ({ job }) => startRun(db, randomUUID(), setupId, job)
	}),
	'the end of a job': taken({
		shape: EndRun,
		body: () => ({ day: '2026-05-03', leave: false }),
		act: async ({ day, leave }) => {
			const run = randomUUID();
			valueOf(await startRun(db, run, setupId, 'off.1'));
			return endJob(db, run, day, leave);
		}
	}),
	'entries in Care': taken({
		shape: AddCareEvents,
		body: () => ({ events: CARE.map((event) => ({ keptId: THING, event })) }),
		act: ({ events }) =>
			addCareEvents(
				db,
				events.map(({ keptId, event }) => ({
					keptId,
					event: { ...asCareEvent(event), id: `care-${randomUUID()}` }
				}))
			)
	}),
	'a line that is brought': taken({
		shape: BringThing,
		body: () => BRING,
		act: (thing) => bring(db, { ...thing, id: randomUUID() }, TODAY)
	}),
	'its description': taken({
		shape: DescribeThing,
		body: () => ({ component: { made: LINE, length: '25 m', note: 'n' }, version: 1 }),
		act: async ({ component }) => {
			const { version } = (await brought(db, THING))!;
			return describeBrought(db, asked(), THING, { component, version });
		}
	}),
	'the rules': taken({
		shape: SaveRules,
		body: () => ({
			rules: [{ job: 'clean', kinds: ['line'], everyDays: 90, saltCounts: 2, paceCounts: 1.5 }]
		}),
		act: ({ rules }) => setCareRules(db, asked(), asRules(CareRules.parse({ rules })))
	}),
	'a session with a knot': taken({
		shape: Practised,
		body: () => ({ id: 'session-1', slug: 'albright', right: 2, asked: 3 }),
		act: (session) => practised(db, { ...session, id: randomUUID() })
	}),
	'the next season': taken({
		shape: Season,
		body: () => ({ windsOn: '2027-03-01' }),
		act: ({ windsOn }) => setSeason(db, asked(), windsOn)
	}),
	'a hand': taken({
		shape: ForgetHand,
		body: () => ({ winding: 'firm', material: 'polyester-20', forget: true }),
		act: (which) => forgetHand(db, asked(), which)
	})
};

/** The places of a body that hold a text or a number. */
function leaves(value: unknown, path: readonly (string | number)[] = []): (readonly (string | number)[])[] {
	if (typeof value === 'string' || typeof value === 'number') return [path];
	if (typeof value !== 'object' || value === null) return [];
	return Object.entries(value).flatMap(([key, held]) => leaves(held, [...path, key]));
}
function put(value: unknown, [key, ...rest]: readonly (string | number)[], leaf: unknown): unknown {
	if (key === undefined) return leaf;
	const copy = structuredClone(value) as Record<string, unknown>;
	copy[key] = put(copy[key], rest, leaf);
	return copy;
}

const NASTY: readonly unknown[] = [
	`84${'0'.repeat(57)}`, '9'.repeat(60), '1'.repeat(61), '1'.repeat(64), '1'.repeat(65), `0.${'0'.repeat(57)}1`, '1'.repeat(20),
	`1/${'3'.repeat(57)}`, `${'1'.repeat(56)} mm`, '', ' ', '\u0000', 'a\u0000b', '\ud800', '\udc00x', '🎣'.repeat(30), 'e\u0301'.repeat(30), '‮abc', '__proto__',
	'constructor', 'x'.repeat(80), 'x'.repeat(2000), '"},{"a":"', "'; drop table setups; --", '0000-01-01', '0001-01-01', '9999-12-31', '2024-02-29', '2023-02-29', '#a1b2c3',
	'off.1', 'off.99', 'untwist.line.1', 'untwist.__proto__.1', 'wind:__proto__', 'wind:line', '1e5', '-1', '½', '3⅜″', '1,5',
	0, -0, 1, -1, 0.1, 1e-320, 1e308, 8.64e15, 8.640000000000001e15, 2 ** 53, 2 ** 53 - 1, -8.64e15, 1e21
]; // prettier-ignore
const leaf = fc.oneof(
	{ weight: 4, arbitrary: fc.constantFrom(...NASTY) },
	fc.string({ unit: 'grapheme', maxLength: 70 }),
	fc.string({ unit: 'binary', maxLength: 64 }),
	fc.double(),
	fc.integer()
);

/** A seeded sample each time; many more in `npm run check:long`. */
const RUNS = process.env['WENDLE_LONG'] ? 2500 : 60;

/** Everything that reads what is kept. */
async function readAll(): Promise<void> {
	const racked = await rack(db);
	for (const { setupId: of } of racked) if (of !== undefined) await benchJob(db, of, undefined);
	const { entries } = await care(db, TODAY);
	await carePage(db, TODAY, USUAL_FILTER);
	await history(db, THING);
	calendarFile(entries, TODAY, 'http://here');
	await hands(db);
	await practice(db, new Date(at));
	expect(await unreadable(db)).toEqual([]);
}

describe('whatever is accepted can be read back', () => {
	it.each(Object.keys(BODIES))('%s, with any text or number in any of its fields', async (name) => {
		const { shape, body, act } = BODIES[name]!;
		const places = leaves(body());
		const read = shape.safeParse(JSON.parse(JSON.stringify(body())));
		expect(read.error?.issues).toBeUndefined();
		expect(await act(read.data)).toMatchObject({ ok: true });
		await fc.assert(
			fc.asyncProperty(fc.constantFrom(...places), leaf, async (place, value) => {
				// As it comes over the wire: what JSON makes of it.
				const sent: unknown = JSON.parse(JSON.stringify(put(body(), place, value)));
				const read = shape.safeParse(sent);
				if (!read.success) return;
				await act(read.data);
				await readAll();
			}),
			{ numRuns: RUNS, seed: 12 }
		);
	});
});
